package org.oblume.server.day;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.oblume.server.day.DayCard.DayPause;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The four days of the demo: the second waits for the sun in the glasshouse, the third runs late, the fourth has a pick-up. */
@Component
@Profile("demo")
@Order(Ordered.LOWEST_PRECEDENCE)
class DemoDays implements ApplicationRunner {

    private static final List<DayPause> NOON = List.of(new DayPause("12:30", "14:30", 60));

    private final ProductionService productions;
    private final SceneService scenes;
    private final ShotService shots;
    private final DayService days;

    DemoDays(ProductionService productions, SceneService scenes, ShotService shots, DayService days) {
        this.productions = productions;
        this.scenes = scenes;
        this.shots = shots;
        this.days = days;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        productions.all().stream()
                .filter(p -> p.name().equals("Saltmarsh Line"))
                .map(Production::id)
                .filter(id -> !days.view(id, 1).said())
                .forEach(this::plan);
    }

    private void plan(long production) {
        List<Long> all = scenes.ofProduction(production).stream().map(Scene::id).toList();
        Map<String, Long> ids = shots.ofScenes(all).stream()
                .collect(Collectors.toMap(s -> s.card().slate().toString(), Shot::id));
        day(production, 1, 16, "Radio repair shop", "09:00", "19:00", NOON);
        day(production, 2, 17, "Glasshouse, then the radio repair shop", "10:00", "16:30", NOON);
        day(production, 3, 18, "Radio repair shop, then the ferry waiting room", "12:00", "15:00", NOON);
        day(
                production,
                4,
                19,
                "Radio repair shop, then the slipway",
                "15:00",
                "00:30",
                List.of(new DayPause("18:00", "20:00", 60)));
        days.order(
                production,
                2,
                List.of(id(ids, "11A"), id(ids, "11B"), id(ids, "4C"), id(ids, "4D"), id(ids, "4E")),
                days.view(production, 2).version(),
                "gaffer");
        days.order(
                production,
                4,
                List.of(id(ids, "4A"), id(ids, "22A"), id(ids, "22B")),
                days.view(production, 4).version(),
                "gaffer");
    }

    private static long id(Map<String, Long> ids, String slate) {
        Long id = ids.get(slate);
        if (id == null) {
            throw new IllegalStateException("The demo has no " + slate);
        }
        return id;
    }

    private void day(
            long production, int number, int november, String place, String call, String wrap, List<DayPause> pauses) {
        days.keep(
                production,
                number,
                new DayCard(
                        LocalDate.of(2026, 11, november), "main", place, "Etc/UTC", call, wrap, 5, pauses, 4.0, false),
                0,
                "gaffer");
    }
}
