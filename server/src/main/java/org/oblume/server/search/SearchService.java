package org.oblume.server.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.oblume.core.search.Wanted;
import org.oblume.server.day.DayCard;
import org.oblume.server.inventory.InventoryWords;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.search.SearchViews.Elsewhere;
import org.oblume.server.search.SearchViews.Found;
import org.oblume.server.search.SearchViews.FoundElsewhere;
import org.oblume.server.search.SearchViews.FoundShot;
import org.oblume.server.search.SearchViews.Why;
import org.oblume.server.shot.SaidOfShot;
import org.oblume.server.shot.SaidOfShot.About;
import org.oblume.server.shot.ShotCard;
import org.oblume.server.shot.ShotLine;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.RecordJson;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks through everything that is recorded. What a scene says is kept until something of it changes; the rest is asked of the database. */
@Service
@Transactional(readOnly = true)
class SearchService {

    private static final int MOST_SHOTS = 100;
    private static final int MOST_WHYS = 5;
    private static final int MOST_OTHERS = 40;

    /** What is of one shot beside its values, a text each. */
    private static final Map<About, String> OF_SHOTS = Map.of(
            About.NOTE,
            """
            select shot_id, text || ', ' || author from note where shot_id is not null and taken_out_at is null
            union all
            select t.shot_id, 'take ' || t.number || ', ' || coalesce(t.note, '') || ', ' || t.author from take t
            """,
            About.PERSON,
            "select shot_id, author from edit group by shot_id, author");

    private static final Map<Elsewhere, String> OF_NO_SHOT = Map.of(
            Elsewhere.SET,
            "select id, production_id, name from stage_set",
            Elsewhere.LOOK,
            """
            select min(s.id), c.production_id, 'look “' || l.name || '”, Sc. ' || c.number
            from look l join scene c on c.id = l.scene_id join shot s on s.scene_id = c.id
            where c.deleted_at is null group by l.id, c.production_id, l.name, c.number
            """);

    private final ProductionService productions;
    private final SceneService scenes;
    private final StoredScenes records;
    private final InventoryWords inventory;
    private final RecordJson json;
    private final JdbcTemplate sql;

    SearchService(
            ProductionService productions,
            SceneService scenes,
            StoredScenes records,
            InventoryWords inventory,
            RecordJson json,
            JdbcTemplate sql) {
        this.productions = productions;
        this.scenes = scenes;
        this.records = records;
        this.inventory = inventory;
        this.json = json;
        this.sql = sql;
    }

    Found find(String text) {
        Wanted wanted = Wanted.of(text);
        Map<Long, List<SaidOfShot>> beside = beside(wanted);
        List<FoundShot> shots = new ArrayList<>();
        int found = 0;
        Map<Long, Production> known = new LinkedHashMap<>();
        for (Production production : productions.all()) {
            known.put(production.id(), production);
            Map<Integer, SaidOfShot> days = days(production.id());
            for (Scene scene : scenes.ofProduction(production.id())) {
                for (ShotLine line : records.lines(scene.id())) {
                    List<Why> why = why(wanted, line, beside, days);
                    if (!why.isEmpty() && ++found <= MOST_SHOTS) {
                        shots.add(shot(production, scene, line, why));
                    }
                }
            }
        }
        return new Found(wanted.words(), shots, elsewhere(wanted, known), Math.max(0, found - MOST_SHOTS));
    }

    private static FoundShot shot(Production production, Scene scene, ShotLine line, List<Why> why) {
        ShotCard card = line.shot().card();
        return new FoundShot(
                line.shot().id(),
                production.id(),
                production.name(),
                scene.heading().number(),
                scene.heading().heading(),
                card.slate(),
                card.description(),
                card.stage(),
                card.day(),
                why);
    }

    /** All words, each wherever it is in the shot; what has most of them first, and what has all of them alone. None when one is missing. */
    private static List<Why> why(
            Wanted wanted, ShotLine line, Map<Long, List<SaidOfShot>> beside, Map<Integer, SaidOfShot> days) {
        int found = 0;
        Map<SaidOfShot, Integer> having = new LinkedHashMap<>();
        List<SaidOfShot> all = new ArrayList<>(line.said());
        all.addAll(beside.getOrDefault(line.shot().id(), List.of()));
        Integer number = line.shot().card().day();
        if (number != null && days.containsKey(number)) {
            all.add(days.get(number));
        }
        for (SaidOfShot said : all) {
            int some = wanted.foundIn(said.folded());
            if (some != 0) {
                found |= some;
                having.put(said, Integer.bitCount(some));
            }
        }
        int most = having.values().stream().mapToInt(n -> n).max().orElse(0);
        return wanted.isAll(found)
                ? having.entrySet().stream()
                        .filter(e -> most < wanted.words().size() || e.getValue() == most)
                        .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
                        .limit(MOST_WHYS)
                        .map(e -> new Why(e.getKey().about(), e.getKey().text()))
                        .toList()
                : List.of();
    }

    private Map<Long, List<SaidOfShot>> beside(Wanted wanted) {
        Map<Long, List<SaidOfShot>> all = new HashMap<>();
        OF_SHOTS.forEach((about, query) -> sql.query(query, row -> {
            SaidOfShot said = new SaidOfShot(about, row.getString(2));
            if (wanted.foundIn(said.folded()) != 0) {
                all.computeIfAbsent(row.getLong(1), id -> new ArrayList<>()).add(said);
            }
        }));
        return all;
    }

    private Map<Integer, SaidOfShot> days(long productionId) {
        Map<Integer, SaidOfShot> all = new HashMap<>();
        sql.query(
                "select number, card from shooting_day where production_id = ?",
                row -> {
                    all.put(
                            row.getInt(1),
                            new SaidOfShot(
                                    About.DAY, words(row.getInt(1), json.read(row.getString(2), DayCard.class))));
                },
                productionId);
        return all;
    }

    private static String words(int number, DayCard day) {
        return "day %d, %s unit, %s%s"
                .formatted(number, day.unit(), day.place(), day.date() == null ? "" : ", " + day.date());
    }

    private List<FoundElsewhere> elsewhere(Wanted wanted, Map<Long, Production> known) {
        List<FoundElsewhere> all = new ArrayList<>();
        known.values().forEach(p -> inventory.of(p.id()).forEach(unit -> {
            if (wanted.isAll(wanted.foundIn(Wanted.folded(unit.text())))) {
                all.add(new FoundElsewhere(
                        unit.counted() ? Elsewhere.COUNTED : Elsewhere.UNIT, unit.id(), p.id(), p.name(), unit.text()));
            }
        }));
        OF_NO_SHOT.forEach((what, query) -> sql.query(query, row -> {
            Production production = known.get(row.getLong(2));
            if (production != null && wanted.isAll(wanted.foundIn(Wanted.folded(row.getString(3))))) {
                all.add(new FoundElsewhere(what, row.getLong(1), production.id(), production.name(), row.getString(3)));
            }
        }));
        return all.stream().limit(MOST_OTHERS).toList();
    }
}
