package org.oblume.server.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** What feeds a set of its own, a copy of the shop's, and what its shots draw. */
@ServerTest
class PowerOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    private long shop;

    @BeforeEach
    void aShopOfItsOwn() {
        JsonNode file = api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        ((ObjectNode) file.get("production")).put("name", "Power " + ++made);
        shop = api.post("/api/scenes/import", file.toString())
                .body()
                .get("sceneId")
                .asLong();
    }

    private JsonNode power(String slate, String query) {
        Answer answer = api.get("/api/shots/%d/power%s".formatted(api.shotIn(shop, slate), query));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        return answer.body();
    }

    private static JsonNode named(JsonNode all, String name) {
        for (JsonNode one : all) {
            if (one.get("name").asText().equals(name)) {
                return one;
            }
        }
        throw new AssertionError("No " + name + " in " + all);
    }

    /** 4C: the key at 42 %, the ambience at 3 %, the edge at 22 %, all on B1; the kettle puts the cart over between takes. */
    @Test
    void theShopsCircuitsCarryWhatIsDialled() {
        JsonNode page = power("4C", "");
        JsonNode key = named(named(page.get("circuits"), "B1").get("drawn"), "Key");
        assertThat(key.get("amps").asDouble()).isCloseTo(key.get("watts").asDouble() / 230, within(1e-9));
        assertThat(key.get("fullWatts").asDouble()).isEqualTo(320);
        assertThat(key.get("watts").asDouble()).isBetween(100.0, 160.0);
        JsonNode cart = named(page.get("circuits"), "B2");
        assertThat(cart.get("over").asBoolean()).isTrue();
        assertThat(cart.get("peakAmps").asDouble()).isCloseTo(13.465, within(0.001));
        assertThat(page.get("notices"))
                .anyMatch(n ->
                        n.get("act").asBoolean() && n.get("text").asText().startsWith("B2 is 0.7 A over with Kettle"));
        assertThat(named(page.get("batteries"), "Street sign").get("wattHours").asDouble())
                .isEqualTo(75);
        assertThat(page.get("unfed")).isEmpty();
        JsonNode lower = power("4C", "?lower=1");
        assertThat(named(named(lower.get("circuits"), "B1").get("drawn"), "Key")
                        .get("watts")
                        .asDouble())
                .isLessThan(key.get("watts").asDouble());
    }

    @Test
    void aCircuitThatIsTakenOutLeavesItsLightsUnfedAndSaysSo() {
        JsonNode page = power("4C", "");
        ObjectNode plan = (ObjectNode) page.get("plan");
        plan.withArray("circuits").remove(0);
        String path = "/api/sets/%d/power".formatted(page.get("setId").asLong());
        assertThat(api.put(path, plan.toString(), page.get("version").asLong()).status())
                .isEqualTo(204);
        JsonNode after = power("4C", "");
        assertThat(named(after.get("unfed"), "Key").get("circuit").asText()).isEqualTo("B1");
        assertThat(after.get("notices"))
                .anyMatch(n -> n.get("text").asText().contains("Key hangs on “B1”, which is no circuit of this set"));
        Answer stale = api.put(path, plan.toString(), page.get("version").asLong());
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.detail()).contains("Nothing of yours was kept yet");
    }

    @Test
    void aFeedIsAValueOfTheShotThatIsTyped() {
        long shot = api.shotIn(shop, "4D");
        Answer kept = api.put(
                "/api/shots/%d/placements/key/FEED".formatted(shot),
                "{\"text\":\"B3, 20 m of 2.5\",\"reason\":\"FIX\"}",
                0L);
        assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
        assertThat(named(named(power("4D", "").get("circuits"), "B3").get("drawn"), "Key")
                        .at("/drop/volts")
                        .asDouble())
                .isPositive();
        assertThat(named(power("4C", "").get("circuits"), "B1").get("drawn").toString())
                .contains("\"Key\"");
    }

    @Test
    void whatCannotBeIsRefusedInASentence() {
        JsonNode page = power("4C", "");
        String path = "/api/sets/%d/power".formatted(page.get("setId").asLong());
        ObjectNode plan = (ObjectNode) page.get("plan");
        ((ObjectNode) plan.withArray("circuits").get(0)).put("phase", 7);
        assertThat(api.put(path, plan.toString(), page.get("version").asLong()).detail())
                .contains("the phase is 1, 2 or 3");
        assertThat(api.get("/api/shots/%d/power?lower=-1".formatted(api.shotIn(shop, "4C")))
                        .detail())
                .contains("How much lower");
    }

    private JsonNode feeds(int day, String query) {
        Answer answer = api.get("/api/productions/1/days/%d/feeds%s".formatted(day, query));
        assertThat(answer.status()).as(answer.detail()).isEqualTo(200);
        return answer.body();
    }

    /** Day 4 on the slipway: heads on batteries, told with how many have to be full; from the mains they need none. */
    @Test
    void aDaySaysWhichBatteriesAreChangedWhen() {
        JsonNode day = feeds(4, "");
        assertThat(day.get("batteries")).isNotEmpty();
        for (JsonNode battery : day.get("batteries")) {
            assertThat(battery.get("needed").asInt())
                    .isBetween(1, battery.get("changes").size() + 1);
            assertThat(battery.get("spans")).isNotEmpty();
        }
        String unit = day.get("batteries").get(0).get("unit").asText();
        JsonNode onMains = feeds(4, "?mains={unit}".replace("{unit}", unit.replace(" ", "%20")));
        assertThat(onMains.get("batteries").get(0).get("needed").asInt()).isZero();
        assertThat(full(onMains)).isLessThan(full(day));
        assertThat(full(feeds(4, "?lower=1"))).isLessThanOrEqualTo(full(day));
        assertThat(api.get("/api/productions/1/days/4/feeds?lower=9").detail()).contains("How much lower");
        assertThat(api.get("/api/productions/1/days/4/feeds?order=99999").detail())
                .contains("each shot of this production once");
    }

    private static int full(JsonNode day) {
        int all = 0;
        for (JsonNode one : day.get("full")) {
            all += one.get("count").asInt();
        }
        return all;
    }

    /** Day 2: the kettle puts B2 over in each set-up in the shop, which is said once with all its times. */
    @Test
    void aDaySaysWhenACircuitIsOver() {
        JsonNode day = feeds(2, "");
        JsonNode shop = day.get("sets").get(0);
        JsonNode cart = named(shop.get("circuits"), "B2");
        assertThat(cart.get("over").asBoolean()).isTrue();
        assertThat(cart.get("steps"))
                .anyMatch(s ->
                        !s.get("inTakes").asBoolean() && Math.abs(s.get("amps").asDouble() - 13.465) < 0.001)
                .anyMatch(s -> s.get("inTakes").asBoolean() && s.get("amps").asDouble() < 4);
        assertThat(day.get("notices")).anyMatch(n -> n.get("text")
                .asText()
                .startsWith("B2 is 0.7 A over: 13.5 of 12.8 A (80 % of its breaker), set-up of 4C ("));
    }

    @Test
    void whatFedASetBeforeIsKept() {
        JsonNode page = power("4C", "");
        String path = "/api/sets/%d/power".formatted(page.get("setId").asLong());
        int before = api.get(path + "/earlier").body().size();
        ObjectNode plan = (ObjectNode) page.get("plan").deepCopy();
        plan.withArray("others").removeAll();
        plan.withArray("sources")
                .addObject()
                .put("name", "Floor box")
                .put("kind", "DISTRIBUTION")
                .put("volts", 230)
                .put("phases", 3)
                .putObject("feeder")
                .put("from", "House board")
                .put("breakerAmps", 32);
        plan.withArray("circuits")
                .addObject()
                .put("name", "F1")
                .put("source", "Floor box")
                .put("breakerAmps", 16)
                .put("phase", 2)
                .put("where", "floor");
        plan.withArray("others")
                .addObject()
                .put("name", "Fan heater")
                .put("watts", 2300)
                .put("powerFactor", 1)
                .put("circuit", "F1")
                .put("when", "TIMES")
                .put("from", "12:00")
                .put("to", "13:00");
        Answer kept = api.put(path, plan.toString(), page.get("version").asLong());
        assertThat(kept.status()).as(kept.detail()).isEqualTo(204);
        JsonNode earlier = api.get(path + "/earlier").body();
        assertThat(earlier).hasSize(before + 1);
        assertThat(earlier.at("/0/plan/others")).isNotEmpty();
        JsonNode now = power("4C", "");
        assertThat(named(now.get("sources"), "Floor box").get("feederAmps").asDouble())
                .isCloseTo(10, within(1e-9));
        assertThat(named(now.get("sources"), "House board").at("/phaseAmps/1").asDouble())
                .isCloseTo(10, within(1e-9));
        JsonNode file = api.get("/api/scenes/%d/export".formatted(shop)).body();
        assertThat(file.at("/power/sources/1/feeder/breakerAmps").asDouble()).isEqualTo(32);
        assertThat(file.at("/power/others/0/to").asText()).isEqualTo("13:00");
        assertThat(api.post("/api/scenes/import?number=F" + made, file.toString())
                        .status())
                .isEqualTo(201);
    }
}
