package org.oblume.server.truck;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** Measures what docs/performance.md reports of the kit: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
@ServerTest
class TruckMeasuredTest {

    private static final int DAYS = 60;
    private static final int SHOTS = 8;
    private static final int COPIES = 4;
    private static final int ROUNDS = 11;
    private static final String PRODUCTION = "Measured kit";

    @Autowired
    private Api api;

    @Test
    void theKitOfSixtyDaysIsMeasured() throws Exception {
        long production = production();
        String path = "/api/productions/%d".formatted(production);
        assertThat(api.post(path + "/kit/named", "{}").status()).isEqualTo(200);
        double cold = ms(() -> api.get(path + "/kit/ahead"));
        double ahead = median(() -> api.get(path + "/kit/ahead"));
        JsonNode days = api.get(path + "/kit/ahead").body().get("days");
        assertThat(days).hasSize(DAYS);
        assertThat(days.get(0).get("missing")).isNotEmpty();
        double day = median(() -> api.get(path + "/days/7/kit"));
        double standIns = median(() -> api.get(path + "/days/7/kit/stand-ins"));
        double kit = median(() -> api.get(path + "/kit"));
        long[] list = {0};
        double made = ms(() -> list[0] =
                api.post(path + "/pull-lists", "{\"day\":7}").body().get("id").asLong());
        double read = median(() -> api.get("/api/pull-lists/%d".formatted(list[0])));
        double drawn = median(() -> api.file("/api/pull-lists/%d/paper/pull.pdf".formatted(list[0])));
        double floor = median(() -> api.get("/api/pull-lists/0"));
        say(
                "need and shorts of %d days, %d shots, %d things in each: %.0f ms the first time, %.0f again; one day %.0f, its stand-ins %.0f; the whole kit %.0f; a pull list made %.0f, read %.0f, as PDF %.0f; a call that finds nothing %.1f",
                DAYS, DAYS * SHOTS, things, cold, ahead, day, standIns, kit, made, read, drawn, floor);
    }

    private int things;

    /** A scene a day, of the shop's, with each thing of it five times and two shots more. */
    private long production() {
        JsonNode whole = api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        ObjectNode file = (ObjectNode) whole;
        ((ObjectNode) file.get("production")).put("name", PRODUCTION).put("days", DAYS);
        multiply(file);
        things = file.get("placements").size();
        ArrayNode shots = (ArrayNode) file.get("shots");
        for (String slate : new String[] {"4G", "4H"}) {
            ObjectNode more = shots.get(5).deepCopy();
            more.put("slate", slate);
            more.set("knots", more.arrayNode());
            more.remove("uid");
            more.put("basedOn", "4F");
            shots.add(more);
        }
        for (int i = 1; i <= DAYS; i++) {
            for (JsonNode shot : shots) {
                ((ObjectNode) shot).put("day", i);
                ((ObjectNode) shot).remove("plan");
            }
            assertThat(api.post("/api/scenes/import?number=MK" + i, file.toString())
                            .status())
                    .isEqualTo(201);
        }
        for (JsonNode p : api.get("/api/book").body().get("productions")) {
            if (p.at("/production/name").asText().equals(PRODUCTION)) {
                return p.at("/production/id").asLong();
            }
        }
        throw new IllegalStateException("It was not made");
    }

    private static void multiply(ObjectNode file) {
        ArrayNode placements = (ArrayNode) file.get("placements");
        int count = placements.size();
        for (int copy = 1; copy <= COPIES; copy++) {
            for (int i = 0; i < count; i++) {
                String kind = placements.get(i).get("kind").asText();
                if (!kind.equals("MARK") && !kind.equals("CAMERA")) {
                    ObjectNode more = placements.get(i).deepCopy();
                    more.put("key", more.get("key").asText() + "-" + copy);
                    more.put("name", more.get("name").asText() + " " + copy);
                    more.remove("uid");
                    placements.add(more);
                }
            }
        }
        file.get("shots").forEach(shot -> {
            ArrayNode knots = (ArrayNode) shot.get("knots");
            int own = knots.size();
            for (int i = 0; i < own; i++) {
                String key = knots.get(i).get("placement").asText();
                if (!key.equals("mark-1") && !key.equals("camera")) {
                    for (int copy = 1; copy <= COPIES; copy++) {
                        ObjectNode more = knots.get(i).deepCopy();
                        more.put("placement", key + "-" + copy);
                        knots.add(more);
                    }
                }
            }
        });
    }

    private static double ms(Callable<?> what) throws Exception {
        long start = System.nanoTime();
        what.call();
        return (System.nanoTime() - start) / 1e6;
    }

    private static double median(Callable<?> what) throws Exception {
        double[] all = new double[ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            all[i] = ms(what);
        }
        Arrays.sort(all);
        return all[ROUNDS / 2];
    }

    private static void say(String what, Object... figures) {
        System.out.println("MEASURED " + String.format(Locale.ROOT, what, figures));
    }
}
