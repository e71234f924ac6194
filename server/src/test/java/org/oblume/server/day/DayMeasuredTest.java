package org.oblume.server.day;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.oblume.core.day.OrderProblem;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** Measures what docs/performance.md reports of a day: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
@ServerTest
class DayMeasuredTest {

    private static final int SHOTS = 25;
    private static final int ROUNDS = 20;
    private static final long LONG_RUN_NS = 20_000_000_000L;
    private static final String PRODUCTION = "Measured days";

    @Autowired
    private Api api;

    @Test
    void aDayOfTwentyFiveShotsIsMeasured() throws Exception {
        String path = "/api/productions/%d/days/2".formatted(production());
        List<Long> ids = new ArrayList<>();
        for (JsonNode p : api.get("/api/book").body().get("productions")) {
            if (p.at("/production/name").asText().equals(PRODUCTION)) {
                p.get("scenes").forEach(s -> s.get("shots")
                        .forEach(shot -> ids.add(shot.get("id").asLong())));
            }
        }
        List<Long> day = ids.subList(0, SHOTS);
        double cold = ms(() -> api.put(path + "/order", body(day), 0L));
        double warm = median(() -> api.get(path));
        List<Long> dragged = new ArrayList<>(day);
        double drag = median(() -> {
            Collections.rotate(dragged.subList(3, 12), 1);
            return api.post(path + "/try", body(dragged));
        });
        JsonNode cost = api.get(path).body().get("cost");
        double[] best = {0};
        double seconds = ms(() -> {
            List<JsonNode> steps = api.lines(path + "/best", "");
            best[0] = steps.get(steps.size() - 1).at("/order/cost/total").asDouble();
            return steps;
        });
        assertThat(best[0]).isLessThanOrEqualTo(cost.get("total").asDouble());
        say(
                "a day of %d shots over HTTP: put with all %d changeovers worked out %.0f ms, read again %.0f ms, one drag %.0f ms; best order in %.1f s, %.0f instead of %.0f min, bound %.0f",
                SHOTS,
                SHOTS * SHOTS,
                cold,
                warm,
                drag,
                seconds / 1000,
                best[0],
                cost.get("total").asDouble(),
                cost.get("total").asDouble() - cost.get("savableMin").asDouble());
    }

    @Test
    void theSearchForTheBestOrderIsMeasured() throws Exception {
        for (int count : new int[] {9, 10, 25, 40}) {
            for (long seed = 1; seed <= 3; seed++) {
                OrderProblem day = OrderSearchTest.day(count, seed);
                double[] found = {0};
                double took = ms(() -> found[0] = day.total(OrderSearch.best(day, OrderSearchTest.PATIENT)));
                double known =
                        Math.min(found[0], count <= OrderProblem.TRIED_THROUGH ? day.total(day.best()) : longRun(day));
                double[] bound = {0};
                double bounded = ms(() -> bound[0] = day.bound());
                say(
                        "best order of %d shots (day %d): %.0f min in %.1f s, best known %.0f; planned %.0f, %s %.0f in %.0f ms",
                        count,
                        seed,
                        found[0],
                        took / 1000,
                        known,
                        day.total(day.planned()),
                        count <= OrderProblem.TRIED_THROUGH ? "by trying all" : "bound",
                        bound[0],
                        bounded);
            }
        }
    }

    /** The best of a long run that has nothing of the solver: swaps and moves, now and then for the worse, from many starts. */
    private static double longRun(OrderProblem day) {
        Random random = new Random(7);
        double best = day.total(day.planned());
        long end = System.nanoTime() + LONG_RUN_NS;
        while (System.nanoTime() < end) {
            List<Integer> order = new ArrayList<>(day.planned());
            Collections.shuffle(order, random);
            double now = day.total(order);
            for (double heat = 60; heat > 0.05; heat *= 0.9999) {
                List<Integer> next = new ArrayList<>(order);
                if (random.nextBoolean()) {
                    Collections.swap(next, random.nextInt(next.size()), random.nextInt(next.size()));
                } else {
                    Integer moved = next.remove(random.nextInt(next.size()));
                    next.add(random.nextInt(next.size() + 1), moved);
                }
                double then = day.total(next);
                if (then < now || random.nextDouble() < Math.exp((now - then) / heat)) {
                    order = next;
                    now = then;
                    best = Math.min(best, now);
                }
            }
        }
        return best;
    }

    private long production() {
        String file = api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body()
                .toString()
                .replace("\"name\":\"Saltmarsh Line\"", "\"name\":\"%s\"".formatted(PRODUCTION));
        for (int i = 0; i * 6 < SHOTS; i++) {
            api.post("/api/scenes/import?number=MD" + i, file);
        }
        for (JsonNode p : api.get("/api/book").body().get("productions")) {
            if (p.at("/production/name").asText().equals(PRODUCTION)) {
                return p.at("/production/id").asLong();
            }
        }
        throw new IllegalStateException("It was not made");
    }

    private static String body(List<Long> shots) {
        return "{\"shots\":[%s]}".formatted(shots.stream().map(String::valueOf).collect(Collectors.joining(",")));
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
