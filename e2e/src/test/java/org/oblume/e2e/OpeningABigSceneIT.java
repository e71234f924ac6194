package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Measures what docs/performance.md reports of opening a large scene: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
class OpeningABigSceneIT {

    private static final int ROUNDS = 100;
    private static final int WARM_UP = 60;
    private static final String[] SAME_ROWS = {
        "select * from production where id = (select production_id from scene where id = ?)",
        "select * from stage_set where id = (select set_id from scene where id = ?)",
        "select * from scene where id = ?",
        "select * from placement where scene_id = ? order by place_in_list",
        "select * from shot where scene_id = ? order by place_in_list",
        "select * from knot where shot_id in (select id from shot where scene_id = ?) order by id"
    };

    @Test
    void openingIsMeasuredBesideABareRead() throws Exception {
        Path data = RunningOblume.newData();
        long sceneId;
        try (RunningOblume oblume = RunningOblume.asShipped(data)) {
            Person gaffer = Person.lead(oblume);
            sceneId = gaffer.post("/api/scenes/import", BigScene.file())
                    .get("sceneId")
                    .asLong();
            JsonNode shots = gaffer.get("/api/book").at("/productions/0/scenes/0/shots");
            assertThat(shots).hasSize(BigScene.SHOTS);
            String last =
                    "/api/shots/" + shots.get(BigScene.SHOTS - 1).get("id").asLong();
            assertThat(gaffer.get(last + "/plot").get("placements")).hasSize(BigScene.PLACEMENTS);
            String board = "/api/scenes/" + sceneId + "/carry";
            say("GET carry board of 120 × 60, over HTTP", times(() -> gaffer.get(board)));
            say("GET plot of the last shot, over HTTP", times(() -> gaffer.get(last + "/plot")));
            AtomicInteger edits = new AtomicInteger();
            say(
                    "edit of one value of the last shot, over HTTP",
                    times(() -> edit(gaffer, last, edits.getAndIncrement())));
            say("the same and GET plot after it, over HTTP", times(() -> {
                edit(gaffer, last, edits.getAndIncrement());
                return gaffer.get(last + "/plot");
            }));
            try (Browser crew = new Browser(oblume.address())) {
                List<Double> drawn = new ArrayList<>();
                for (int i = 0; i < 9; i++) {
                    drawn.add(crew.timeUntilDrawn(last.replace("/api", "") + "/plot", ".placed", BigScene.PLACEMENTS));
                }
                say("navigation to 120 placements drawn, browser", drawn);
            }
        }
        try (Connection bare = DriverManager.getConnection(
                "jdbc:h2:file:" + data.resolve("oblume")
                        + ";MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH",
                "oblume",
                "")) {
            assertThat(read(bare, sceneId)).isEqualTo(4 + BigScene.PLACEMENTS + BigScene.SHOTS + BigScene.KNOTS);
            say("bare JDBC read of the same rows", times(() -> read(bare, sceneId)));
        }
    }

    private static int edit(Person person, String shot, int revision) throws IOException, InterruptedException {
        Person.Answer answer = person.put(
                shot + "/placements/" + BigScene.A_HEAD + "/LEVEL",
                "{\"text\":\"%d\",\"reason\":\"LOOK\"}".formatted(10 + revision % 80),
                revision,
                "d");
        assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
        return answer.status();
    }

    private static int read(Connection bare, long sceneId) throws SQLException {
        int rows = 0;
        for (String query : SAME_ROWS) {
            try (PreparedStatement statement = bare.prepareStatement(query)) {
                statement.setLong(1, sceneId);
                try (ResultSet row = statement.executeQuery()) {
                    int columns = row.getMetaData().getColumnCount();
                    while (row.next()) {
                        rows++;
                        for (int c = 1; c <= columns; c++) {
                            row.getObject(c);
                        }
                    }
                }
            }
        }
        return rows;
    }

    private static List<Double> times(Callable<?> work) throws Exception {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < WARM_UP + ROUNDS; i++) {
            long start = System.nanoTime();
            work.call();
            if (i >= WARM_UP) {
                times.add((System.nanoTime() - start) / 1e6);
            }
        }
        return times;
    }

    private static void say(String what, List<Double> times) {
        Collections.sort(times);
        System.out.printf(
                "MEASURED %s: median %.1f ms, 95th percentile %.1f ms, %d rounds%n",
                what, times.get(times.size() / 2), times.get((int) (times.size() * 0.95)), times.size());
    }
}
