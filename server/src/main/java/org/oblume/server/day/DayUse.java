package org.oblume.server.day;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.Schedule;
import org.oblume.server.day.DayReader.KeptDay;
import org.oblume.server.day.DayReader.OnDay;
import org.oblume.server.day.DayReader.ReadDay;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When the shots of a date stand, whichever crew shoots them. */
@Service
@Transactional(readOnly = true)
public class DayUse {

    private final DayReader reader;
    private final ShotPlanRepository plans;
    private final SceneService scenes;
    private final ShotService shots;
    private final RecordJson json;

    DayUse(DayReader reader, ShotPlanRepository plans, SceneService scenes, ShotService shots, RecordJson json) {
        this.reader = reader;
        this.plans = plans;
        this.scenes = scenes;
        this.shots = shots;
        this.json = json;
    }

    /**
     * A shot while it stands.
     *
     * @param day on which it is shot
     * @param fromMin minutes of the date, since 1970; where one crew works alone, only their order counts
     */
    public record Standing(long shotId, int day, double fromMin, double toMin, double takesMin) {}

    /**
     * @param date or null while it is not known
     * @param mine shots of the day that was asked
     * @param others of other days of its date
     */
    public record OnDate(int day, @Nullable LocalDate date, List<Standing> mine, List<Standing> others) {}

    /** A day, and whoever else shoots on its date. */
    public OnDate of(long productionId, int number) {
        KeptDay day = reader.kept(productionId, number);
        List<Shot> all = reader.shotsOf(productionId);
        LocalDate date = day.card().date();
        Map<KeptDay, List<OnDay>> days = reader.all(productionId, all);
        List<KeptDay> sameDate = days.keySet().stream()
                .filter(d -> d.number() != number
                        && date != null
                        && date.equals(d.card().date()))
                .filter(d -> !days.getOrDefault(d, List.of()).isEmpty())
                .toList();
        if (sameDate.isEmpty()) {
            return new OnDate(number, date, inOrder(number, reader.on(day, all)), List.of());
        }
        List<Standing> others = new ArrayList<>();
        sameDate.forEach(d -> others.addAll(inTime(d, all, days.getOrDefault(d, List.of()))));
        return new OnDate(number, date, inTime(day, all, reader.on(day, all)), others);
    }

    /** All days of a production with their dates, and which shots are on each in which order. */
    public List<OnDate> all(long productionId) {
        List<Shot> all = reader.shotsOf(productionId);
        return reader.all(productionId, all).entrySet().stream()
                .map(e -> new OnDate(
                        e.getKey().number(),
                        e.getKey().card().date(),
                        inOrder(e.getKey().number(), e.getValue()),
                        List.of()))
                .toList();
    }

    private List<Standing> inOrder(int number, List<OnDay> on) {
        Map<Long, Double> takes = plans
                .findByShotIdIn(on.stream().map(OnDay::shotId).toList())
                .stream()
                .collect(Collectors.toMap(ShotPlanEntity::shotId, p -> json.read(p.plan(), ShotPlan.class)
                        .minutes()));
        List<Standing> all = new ArrayList<>();
        for (int i = 0; i < on.size(); i++) {
            long shot = on.get(i).shotId();
            all.add(new Standing(shot, number, i, i + 1, takes.getOrDefault(shot, ShotPlan.NOTHING_SAID.minutes())));
        }
        return all;
    }

    private List<Standing> inTime(KeptDay day, List<Shot> all, List<OnDay> on) {
        ReadDay read = reader.read(day, all, on);
        Schedule schedule = read.problem().schedule(read.problem().planned());
        LocalDate date = Objects.requireNonNull(day.card().date());
        List<Standing> standing = new ArrayList<>();
        for (int i = 0; i < schedule.slots().size(); i++) {
            Schedule.Slot slot = schedule.slots().get(i);
            standing.add(new Standing(
                    read.planned().get(i).id(),
                    day.number(),
                    minutes(slot.setUpFrom().on(date, read.zone())),
                    minutes(slot.shootTo().on(date, read.zone())),
                    slot.shot().shootMin()));
        }
        return standing;
    }

    private static double minutes(Instant at) {
        return at.getEpochSecond() / 60.0;
    }

    /** The days that a shot is on, those on which it is shot again too, in their order. */
    public List<OnDate> of(long shotId) {
        long productionId = scenes.get(shots.get(shotId).sceneId()).productionId();
        return all(productionId).stream()
                .filter(d -> d.mine.stream().anyMatch(s -> s.shotId == shotId))
                .toList();
    }
}
