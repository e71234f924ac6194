package org.oblume.server.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** The days of a production of its own: the glasshouse and the shop, both on the second day. */
@ServerTest
class DayOverHttpTest {

    private static final String DAY =
            "{\"date\":\"2026-11-17\",\"unit\":\"main\",\"place\":\"Glasshouse, then the shop\",\"zone\":\"Etc/UTC\",\"call\":\"%s\",\"wrap\":\"%s\",\"leastMinutes\":5,\"pauses\":[{\"after\":\"12:30\",\"before\":\"14:00\",\"minutes\":45}]}";
    private static int made;

    @Autowired
    private Api api;

    private long production;
    private long glasshouse;
    private long shop;

    @BeforeEach
    void aProductionOfItsOwn() {
        String name = "Days " + ++made;
        shop = imported(api.sceneOf(api.shot("4A")), name);
        glasshouse = imported(api.sceneOf(api.shot("11A")), name);
        for (JsonNode p : api.get("/api/book").body().get("productions")) {
            if (p.at("/production/name").asText().equals(name)) {
                production = p.at("/production/id").asLong();
            }
        }
    }

    /** Nothing is said of what its shots take. */
    private long imported(long scene, String production) {
        JsonNode whole = api.get("/api/scenes/%d/export".formatted(scene)).body();
        whole.get("shots").forEach(shot -> ((ObjectNode) shot).remove("plan"));
        String file = whole.toString().replace("\"name\":\"Saltmarsh Line\"", "\"name\":\"%s\"".formatted(production));
        return api.post("/api/scenes/import", file).body().get("sceneId").asLong();
    }

    private String path(int day) {
        return "/api/productions/%d/days/%d".formatted(production, day);
    }

    private JsonNode day(int number) {
        return api.get(path(number)).body();
    }

    private static List<String> slates(JsonNode day) {
        List<String> all = new ArrayList<>();
        day.get("slots").forEach(s -> all.add(s.get("slate").asText()));
        return all;
    }

    private Answer order(int day, long version, Long... shots) {
        return api.put(path(day) + "/order", ids(shots), version);
    }

    private static String ids(Long... shots) {
        return "{\"shots\":[%s]}"
                .formatted(java.util.Arrays.stream(shots).map(String::valueOf).collect(Collectors.joining(",")));
    }

    private void plan(long shot, String said) {
        Answer kept = api.put("/api/shots/%d/plan".formatted(shot), said, 0L);
        assertThat(kept.status()).as(kept.detail()).isEqualTo(204);
    }

    @Test
    void aDayHasTheShotsOfWhichTheCardSaysSoOneAfterTheOther() {
        JsonNode day = day(2);
        assertThat(slates(day)).containsExactly("4C", "4D", "4E", "11A", "11B");
        double before = day.get("callMin").asDouble();
        for (JsonNode slot : day.get("slots")) {
            assertThat(slot.get("setUpFrom").asDouble()).isGreaterThanOrEqualTo(before);
            assertThat(slot.get("shootFrom").asDouble())
                    .isGreaterThanOrEqualTo(slot.get("readyAt").asDouble());
            assertThat(slot.get("changeoverMin").asDouble()).isPositive();
            assertThat(slot.get("departments")).isNotEmpty();
            before = slot.get("shootTo").asDouble();
        }
        assertThat(day.get("said").asBoolean()).isFalse();
        assertThat(day.get("notices")).anyMatch(n -> n.get("text").asText().contains("No date is said"));
    }

    @Test
    void aChangeoverIsThatOfTheMoveList() {
        JsonNode slot = day(2).get("slots").get(1);
        JsonNode moves = api.get(
                        "/api/moves?from=shot-%d&to=shot-%d".formatted(api.shotIn(shop, "4C"), api.shotIn(shop, "4D")))
                .body();
        assertThat(slot.get("changeoverMin").asDouble())
                .isCloseTo(moves.get("minutes").asDouble(), within(1e-9));
    }

    @Test
    void anOrderIsPutAndOneThatSomebodyElsePutMeanwhileIsNotOverwritten() {
        JsonNode day = day(2);
        long a = api.shotIn(glasshouse, "11A");
        long b = api.shotIn(glasshouse, "11B");
        long c = api.shotIn(shop, "4C");
        long d = api.shotIn(shop, "4D");
        long e = api.shotIn(shop, "4E");
        Answer put = order(2, day.get("version").asLong(), b, a, c, d, e);
        assertThat(put.status()).as(put.detail()).isEqualTo(200);
        assertThat(slates(put.body())).containsExactly("11B", "11A", "4C", "4D", "4E");
        assertThat(slates(day(2))).containsExactly("11B", "11A", "4C", "4D", "4E");
        Answer late = order(2, day.get("version").asLong(), a, b, c, d, e);
        assertThat(late.status()).isEqualTo(409);
        assertThat(slates(day(2))).startsWith("11B");
        assertThat(order(2, put.body().get("version").asLong(), a, a).detail()).contains("twice");
    }

    @Test
    void aShotComesFromAnotherDayAndOneThatIsLeftOutIsOnNone() {
        long f = api.shotIn(shop, "4F");
        long c = api.shotIn(shop, "4C");
        Answer put = order(2, 0, f, c);
        assertThat(slates(put.body())).containsExactly("4F", "4C");
        assertThat(slates(day(3))).isEmpty();
        JsonNode cards = api.get("/api/book").body();
        assertThat(cards.findValues("slate").stream().filter(s -> s.asText().equals("4D")))
                .isNotEmpty();
        for (JsonNode p : cards.get("productions")) {
            if (p.at("/production/id").asLong() == production) {
                p.get("scenes").forEach(s -> s.get("shots").forEach(shot -> {
                    if (shot.get("slate").asText().equals("4F")) {
                        assertThat(shot.get("day").asInt()).isEqualTo(2);
                    }
                    if (shot.get("slate").asText().equals("4D")) {
                        assertThat(shot.has("day")).isFalse();
                    }
                }));
            }
        }
    }

    /** Day 4 goes back to the shop: 4A was shot on day 1, so that it is a rebuild. */
    @Test
    void whatWasShotIsOnALaterDayAgain() {
        long a = api.shotIn(shop, "4A");
        Answer put = order(4, 0, a);
        assertThat(put.status()).as(put.detail()).isEqualTo(200);
        assertThat(put.body().at("/slots/0/again").asBoolean()).isTrue();
        assertThat(slates(day(1))).contains("4A");
        assertThat(order(1, 0).detail()).contains("has been shot on its day");
    }

    /** The sun reaches the mark on which it lay by the east glass and by the end pane. */
    @Test
    void aShotThatNeedsTheSunWaitsForItAndIsToldWhenItMissesIt() {
        long a = api.shotIn(glasshouse, "11A");
        Answer kept = api.put(path(2), DAY.formatted("08:00", "20:00"), 0L);
        assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
        plan(a, "{\"shootMinutes\":20,\"need\":\"SUN\",\"first\":false}");
        Answer put = order(2, kept.body().get("version").asLong(), a);
        JsonNode slot = put.body().at("/slots/0");
        assertThat(slot.get("light")).isNotEmpty();
        JsonNode span = slot.at("/light/0");
        assertThat(slot.get("inItsLight").asBoolean()).isTrue();
        assertThat(slot.get("shootFrom").asDouble())
                .isGreaterThanOrEqualTo(span.get("from").asDouble());
        assertThat(put.body().at("/sun/0/say").asText()).contains("up", "down", "dark from");
        Answer late = api.put(
                path(2),
                DAY.formatted("18:00", "23:00"),
                put.body().get("version").asLong());
        assertThat(late.body().get("notices"))
                .anyMatch(n -> n.get("text").asText().contains("needs the sun"));
        assertThat(late.body().at("/slots/0/inItsLight").asBoolean()).isFalse();
    }

    @Test
    void anOrderIsTriedAsItIsSaid() {
        Answer kept = api.put(path(2), DAY.formatted("08:00", "20:00"), 0L);
        Long[] now = new Long[kept.body().get("slots").size()];
        for (int i = 0; i < now.length; i++) {
            now[i] = kept.body().at("/slots/%d/shotId".formatted(i)).asLong();
        }
        String said = ids(now).replaceFirst("\\}$", ",\"text\":\"11B first, swap 4C and 4D\"}");
        Answer tried = api.post(path(2) + "/say", said);
        assertThat(slates(tried.body())).containsExactly("11B", "4D", "4C", "4E", "11A");
        assertThat(slates(day(2))).containsExactly("4C", "4D", "4E", "11A", "11B");
        assertThat(api.post(path(2) + "/say", said.replace("11B first", "4Z first"))
                        .detail())
                .contains("is no shot of this day");
    }

    @Test
    void whoLeavesBeforeTheTakesAreOverIsSaid() {
        long c = api.shotIn(shop, "4C");
        Answer kept = api.put(path(2), DAY.formatted("08:00", "20:00"), 0L);
        plan(c, "{\"shootMinutes\":60,\"need\":\"ANY\",\"first\":false,\"doneBy\":\"08:30\",\"who\":\"the child\"}");
        Answer put = order(2, kept.body().get("version").asLong(), c);
        assertThat(put.body().get("notices"))
                .anyMatch(n -> n.get("text").asText().contains("has to be over by 08:30, when the child leaves"));
        assertThat(put.body().at("/cost/broken")).hasSize(1);
        Answer wrong = api.put(
                "/api/shots/%d/plan".formatted(c),
                "{\"shootMinutes\":60,\"need\":\"ANY\",\"first\":false,\"doneBy\":\"half past\"}",
                1L);
        assertThat(wrong.detail()).contains("is no time");
    }

    /** Two crews on one date: the shop's shots of day 2 and of day 3 stand with the same heads. */
    @Test
    void aUnitThatIsInTwoPlacesAtOnceIsSaid() {
        long c = api.shotIn(shop, "4C");
        long d = api.shotIn(shop, "4D");
        Answer two = api.put(path(2), DAY.formatted("08:00", "20:00"), 0L);
        Answer three = api.put(path(3), DAY.formatted("08:00", "20:00").replace("\"main\"", "\"second unit\""), 0L);
        order(2, two.body().get("version").asLong(), c);
        Answer put = order(3, three.body().get("version").asLong(), d);
        assertThat(put.body().get("notices"))
                .anyMatch(n -> n.get("text").asText().matches("4D: \\S.* is with main in 4C, day 2, until .*"));
        assertThat(put.body().at("/cost/broken")).isNotEmpty();
        Answer later = api.put(
                path(3),
                DAY.formatted("16:00", "23:00"),
                put.body().get("version").asLong());
        assertThat(later.body().get("notices"))
                .noneMatch(n -> n.get("text").asText().contains("with main in 4C"));
    }

    @Test
    void whatEndsAfterTheWrapIsSaid() {
        Answer kept = api.put(path(2), DAY.formatted("08:00", "09:30"), 0L);
        assertThat(kept.body().get("notices"))
                .anyMatch(
                        n -> n.get("act").asBoolean() && n.get("text").asText().contains("after the wrap at 09:30"));
    }

    @Test
    void aTriedOrderChangesNothing() {
        JsonNode day = day(2);
        long a = api.shotIn(glasshouse, "11A");
        long c = api.shotIn(shop, "4C");
        Answer tried = api.post(path(2) + "/try", ids(a, c));
        assertThat(tried.status()).as(tried.detail()).isEqualTo(200);
        assertThat(slates(tried.body())).containsExactly("11A", "4C");
        assertThat(tried.body().get("soonerMin").asDouble()).isPositive();
        assertThat(day(2)).isEqualTo(day);
    }

    /** It ends, is not applied, and costs what was said that could be saved less. */
    @Test
    void theBestOrderIsFoundAndLeftToAPersonToApply() throws Exception {
        JsonNode before = day(2);
        List<JsonNode> steps = api.lines(path(2) + "/best", "");
        JsonNode last = steps.get(steps.size() - 1);
        assertThat(last.get("done").asDouble()).isEqualTo(1);
        assertThat(last.at("/order/cost/total").asDouble())
                .isCloseTo(
                        before.at("/cost/total").asDouble()
                                - before.at("/cost/savableMin").asDouble(),
                        within(1e-6));
        assertThat(last.at("/order/shots")).hasSize(5);
        assertThat(day(2)).isEqualTo(before);
    }

    @Test
    void howMuchCouldBeSavedIsToldAndNoOrderSavesMore() {
        JsonNode cost = day(2).get("cost");
        assertThat(cost.get("exact").asBoolean()).isTrue();
        double savable = cost.get("savableMin").asDouble();
        double total = cost.get("total").asDouble();
        List<Long> ids = new ArrayList<>();
        day(2).get("slots").forEach(s -> ids.add(s.get("shotId").asLong()));
        double least = Double.MAX_VALUE;
        for (List<Long> order : permutations(ids)) {
            JsonNode tried =
                    api.post(path(2) + "/try", ids(order.toArray(new Long[0]))).body();
            least = Math.min(least, tried.at("/cost/total").asDouble());
        }
        assertThat(total - savable).isCloseTo(least, within(1e-6));
    }

    private static List<List<Long>> permutations(List<Long> of) {
        if (of.size() <= 1) {
            return List.of(of);
        }
        List<List<Long>> all = new ArrayList<>();
        for (Long first : of) {
            List<Long> rest = new ArrayList<>(of);
            rest.remove(first);
            for (List<Long> tail : permutations(rest)) {
                List<Long> one = new ArrayList<>(List.of(first));
                one.addAll(tail);
                all.add(one);
            }
        }
        return all;
    }

    @Test
    void shotsThatComeAfterOneAnotherInARingAreRefusedAndNothingIsKept() {
        long c = api.shotIn(shop, "4C");
        long d = api.shotIn(shop, "4D");
        plan(c, "{\"need\":\"ANY\",\"first\":false,\"afterId\":%d}".formatted(d));
        Answer ring = api.put(
                "/api/shots/%d/plan".formatted(d),
                "{\"need\":\"ANY\",\"first\":false,\"afterId\":%d}".formatted(c),
                0L);
        assertThat(ring.status()).isEqualTo(400);
        assertThat(ring.detail()).contains("after itself");
        assertThat(day(2).get("slots"))
                .allMatch(s -> s.get("shotId").asLong() != d || !s.get("plan").hasNonNull("afterId"));
    }

    /** Of two days each is well; put together they make a ring. */
    @Test
    void aDayOnWhichShotsComeAfterOneAnotherIsStillShownAndSaysSo() {
        long c = api.shotIn(shop, "4C");
        long f = api.shotIn(shop, "4F");
        plan(c, "{\"need\":\"ANY\",\"first\":false,\"afterId\":%d}".formatted(f));
        plan(f, "{\"need\":\"ANY\",\"first\":false,\"afterId\":%d}".formatted(c));
        Answer together = order(2, 0, c, f);
        assertThat(together.status()).as(together.detail()).isEqualTo(200);
        assertThat(together.body().get("notices"))
                .anyMatch(
                        n -> n.get("act").asBoolean() && n.get("text").asText().contains("after itself"));
        assertThat(api.get(path(2)).status()).isEqualTo(200);
    }

    @Test
    void badDaysAreRefusedInWords() {
        for (String[] bad : new String[][] {
            {"08:00", "08:00", "no time in it"}, {"8", "18:00", "08:00"}, {"25:00", "18:00", "23:59"}
        }) {
            Answer refused = api.put(path(2), DAY.formatted(bad[0], bad[1]), 0L);
            assertThat(refused.status()).isEqualTo(400);
            assertThat(refused.detail()).contains(bad[2]);
        }
        assertThat(api.put(path(2), DAY.replace("Etc/UTC", "Nowhere/Else").formatted("08:00", "18:00"), 0L)
                        .detail())
                .contains("no time zone");
        assertThat(api.get(path(9)).status()).isEqualTo(400);
    }

    /** Written by one library, read back by another. */
    @Test
    void aDayGoesOutAsACalendarWhoseEventsKeepTheirNamesWhenTheyMove() throws Exception {
        assertThat(api.get(path(2) + "/calendar.ics").status()).isEqualTo(400);
        JsonNode day = api.put(path(2), DAY.formatted("08:00", "20:00"), 0L).body();
        ICalendar calendar = Biweekly.parse(new String(api.file(path(2) + "/calendar.ics"), StandardCharsets.UTF_8))
                .first();
        assertThat(calendar.getEvents()).hasSize(day.get("slots").size());
        VEvent first = calendar.getEvents().get(0);
        assertThat(first.getSummary().getValue()).isEqualTo("4C");
        assertThat(first.getDateStart().getValue().toInstant())
                .isEqualTo(Instant.parse("2026-11-17T00:00:00Z")
                        .plusSeconds(
                                Math.round(60 * day.at("/slots/0/shootFrom").asDouble())));
        order(2, day.get("version").asLong(), api.shotIn(shop, "4D"), api.shotIn(shop, "4C"));
        ICalendar later = Biweekly.parse(new String(api.file(path(2) + "/calendar.ics"), StandardCharsets.UTF_8))
                .first();
        assertThat(later.getEvents().get(1).getUid().getValue())
                .isEqualTo(first.getUid().getValue());
    }

    @Test
    void aDayIsReadFromACalendarAndFromATableAndNothingIsKept() throws Exception {
        api.put(path(2), DAY.formatted("08:00", "20:00"), 0L);
        JsonNode before = day(2);
        byte[] ics = api.file(path(2) + "/calendar.ics");
        Answer read = api.upload("/api/productions/%d/day-file".formatted(production), ics);
        assertThat(read.status()).as(read.detail()).isEqualTo(200);
        assertThat(read.body().get("shots")).hasSize(5);
        Answer table = api.upload(
                "/api/productions/%d/day-file".formatted(production),
                "Slate;What\n4D;reverse\n11A;wide\nlunch;\n4D;again\n".getBytes(StandardCharsets.UTF_8));
        assertThat(table.body().get("shots"))
                .extracting(JsonNode::asLong)
                .containsExactly(api.shotIn(shop, "4D"), api.shotIn(glasshouse, "11A"));
        assertThat(table.body().get("unknown")).extracting(JsonNode::asText).contains("lunch");
        assertThat(day(2)).isEqualTo(before);
        for (String bad : List.of("BEGIN:VCALENDAR\nnonsense", "nothing of ours", "")) {
            Answer refused = api.upload(
                    "/api/productions/%d/day-file".formatted(production), bad.getBytes(StandardCharsets.UTF_8));
            assertThat(refused.status()).as(bad).isEqualTo(400);
            assertThat(refused.detail()).isNotBlank();
        }
    }

    @Test
    void theDaySheetHasItsShotsTheirTimesAndWhatDoesNotFit() throws Exception {
        api.put(path(2), DAY.formatted("08:00", "10:00"), 0L);
        try (PDDocument paper = Loader.loadPDF(api.file(path(2) + "/paper/day.pdf"))) {
            assertThat(new PDFTextStripper().getText(paper))
                    .contains("Day 2, Tuesday 17 November 2026", "4C", "11B", "after the wrap at 10:00", "estimate");
        }
        assertThat(new String(api.file(path(2) + "/paper/day.csv"), StandardCharsets.UTF_8).lines())
                .hasSize(6)
                .first()
                .asString()
                .startsWith("Shot,Scene,Set-up");
    }

    @Test
    void whatADayWasIsKeptWithWhoChangedIt() {
        assertThat(api.get(path(2) + "/earlier").body()).isEmpty();
        long first = api.put(path(2), DAY.formatted("08:00", "18:00"), 0L)
                .body()
                .get("version")
                .asLong();
        assertThat(api.get(path(2) + "/earlier").body())
                .as("of a day of which nothing was said there is nothing to go back to")
                .isEmpty();
        long a = api.shotIn(glasshouse, "11A");
        long c = api.shotIn(shop, "4C");
        Answer put = order(2, first, c, a);
        assertThat(put.status()).as(put.detail()).isEqualTo(200);
        api.put(
                path(2),
                DAY.formatted("10:00", "18:00"),
                put.body().get("version").asLong());
        JsonNode earlier = api.get(path(2) + "/earlier").body();
        assertThat(earlier).hasSize(2);
        assertThat(earlier.at("/0/slates").toString()).isEqualTo("[\"4C\",\"11A\"]");
        assertThat(earlier.at("/0/card/call").asText()).isEqualTo("08:00");
        assertThat(earlier.at("/0/by").asText()).isNotBlank();
        assertThat(earlier.at("/1/slates")).hasSize(5);
    }

    @Test
    void whatAShotTookIsKeptWithWhoSaidItAnew() {
        long shot = api.shotIn(shop, "4C");
        String path = "/api/shots/%d/plan".formatted(shot);
        plan(shot, "{\"shootMinutes\":30,\"need\":\"ANY\",\"first\":false}");
        assertThat(api.get(path + "/earlier").body()).isEmpty();
        assertThat(api.put(path, "{\"shootMinutes\":45,\"need\":\"NIGHT\",\"first\":false}", 1L)
                        .status())
                .isEqualTo(204);
        JsonNode earlier = api.get(path + "/earlier").body();
        assertThat(earlier).hasSize(1);
        assertThat(earlier.at("/0/plan/shootMinutes").asDouble()).isEqualTo(30);
    }

    /** Without the fields that came later, as a day was kept before. */
    @Test
    void howBatteriesAreKeptIsSaidOfADayAndCheckedInWords() {
        Answer kept = api.put(path(2), DAY.formatted("08:00", "18:00"), 0L);
        assertThat(kept.body().at("/card").has("chargeHours")).isFalse();
        ObjectNode card = (ObjectNode) kept.body().get("card");
        card.put("chargeHours", 0);
        long version = kept.body().get("version").asLong();
        assertThat(api.put(path(2), card.toString(), version).detail()).contains("Charging a battery");
        card.put("chargeHours", 3.5).put("offBetween", true);
        assertThat(api.put(path(2), card.toString(), version)
                        .body()
                        .at("/card/chargeHours")
                        .asDouble())
                .isEqualTo(3.5);
    }
}
