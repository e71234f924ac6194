package org.oblume.server.truck;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** The kit of a production of its own, of which the shop is shot on its first two days. */
@ServerTest
class TruckOverHttpTest {

    private static final String UNIT = "{\"tag\":\"%s\",\"name\":\"%s\",\"what\":\"%s\",\"size\":{%s},\"spans\":[%s]}";
    private static final String SPOT = "Bicolour LED spot 300 W";
    private static int made;

    @Autowired
    private Api api;

    private long production;
    private long scene;
    private long shot;

    @BeforeEach
    void aProductionOfItsOwn() {
        String name = "Truck " + ++made;
        JsonNode whole = api.get("/api/scenes/%d/export".formatted(api.sceneOf(api.shot("4A"))))
                .body();
        whole.get("shots").forEach(s -> ((ObjectNode) s).remove("plan"));
        String file = whole.toString().replace("\"name\":\"Saltmarsh Line\"", "\"name\":\"%s\"".formatted(name));
        scene = api.post("/api/scenes/import", file).body().get("sceneId").asLong();
        for (JsonNode p : api.get("/api/book").body().get("productions")) {
            if (p.at("/production/name").asText().equals(name)) {
                production = p.at("/production/id").asLong();
                shot = p.at("/scenes/0/shots/0/id").asLong();
            }
        }
        api.put(
                path("/days/1"),
                "{\"date\":\"2026-11-16\",\"unit\":\"main\",\"place\":\"\",\"zone\":\"Etc/UTC\",\"call\":\"09:00\",\"wrap\":\"19:00\",\"leastMinutes\":5,\"pauses\":[]}",
                0L);
    }

    private String path(String rest) {
        return "/api/productions/%d%s".formatted(production, rest);
    }

    private Answer unit(String tag, String name, String what, String size, String spans) {
        return api.post(path("/kit/units"), UNIT.formatted(tag, name, what, size, spans));
    }

    private Answer counted(String what, String form, String size, int count) {
        return api.post(
                path("/kit/counted"),
                "{\"what\":\"%s\",\"form\":\"%s\",\"size\":{%s},\"count\":%d}".formatted(what, form, size, count));
    }

    private JsonNode line(int day, String what) {
        for (JsonNode line : api.get(path("/days/%d/kit".formatted(day))).body().get("lines")) {
            if (line.get("what").asText().equals(what)) {
                return line;
            }
        }
        throw new AssertionError("Day %d does not need %s".formatted(day, what));
    }

    private JsonNode unitOf(String name) {
        for (JsonNode unit : api.get(path("/kit")).body().get("units")) {
            if (unit.at("/unit/name").asText().equals(name)) {
                return unit;
            }
        }
        throw new AssertionError("No unit is called " + name);
    }

    @Test
    void ofAnEmptyKitNothingIsToldToBeShort() {
        JsonNode day = api.get(path("/days/1/kit")).body();
        assertThat(day.get("counted").asBoolean()).isFalse();
        assertThat(day.get("notices")).isEmpty();
        assertThat(line(1, SPOT).get("missing").asInt()).isZero();
        assertThat(api.get("/api/shots/%d/kit".formatted(shot)).body().get("absent"))
                .isEmpty();
    }

    @Test
    void theUnitsThatShotsNameAreTakenUpAtOnce() {
        List<String> named = new ArrayList<>();
        api.get(path("/kit"))
                .body()
                .get("unknown")
                .forEach(u -> named.add(u.get("name").asText()));
        assertThat(named).contains("Heron 2", "Plaice", "Wren", "Eel 1", "Moth");
        assertThat(api.post(path("/kit/named"), "{}").body().get("units").asInt())
                .isEqualTo(named.size());
        assertThat(api.get(path("/kit")).body().get("unknown")).isEmpty();
        assertThat(unitOf("Heron 2").at("/unit/tag").asText()).isEqualTo("Heron-2");
        assertThat(unitOf("Heron 2").get("where").asText()).isEqualTo("4C, Key");
        assertThat(line(1, SPOT).get("tags").get(0).asText()).isEqualTo("Heron-2");
        assertThat(line(1, "Stand").get("missing").asInt())
                .isEqualTo(line(1, "Stand").get("count").asInt());
    }

    @Test
    void aUnitOnHireIsToldAndAnotherOfItsKindStandsIn() {
        unit("H2", "Heron 2", SPOT, "", "{\"state\":\"OUT\",\"from\":\"2026-11-16\",\"until\":\"2026-11-17\"}");
        unit("H1", "Heron 1", SPOT, "", "");
        JsonNode line = line(1, SPOT);
        assertThat(line.at("/absent/0/unit").asText()).isEqualTo("Heron 2");
        assertThat(line.at("/absent/0/why").asText()).isEqualTo("out on hire until 17 Nov");
        assertThat(line.get("missing").asInt()).isZero();
        assertThat(api.get("/api/shots/%d/kit".formatted(shot))
                        .body()
                        .at("/absent/0/day")
                        .asInt())
                .isEqualTo(1);
        JsonNode standIns = api.get(path("/days/1/kit/stand-ins")).body().get("standIns");
        List<String> instead = new ArrayList<>();
        standIns.forEach(s -> {
            if (s.get("what").asText().equals("Heron 2")) {
                s.get("instead").forEach(i -> instead.add(i.asText()));
            }
        });
        assertThat(instead).containsExactly("Heron 1, Bicolour LED spot 300 W: reaches the same light");
        assertThat(api.get("/api/shots/%d/kit/free".formatted(shot))
                        .body()
                        .at("/units/0/name")
                        .asText())
                .isEqualTo("Heron 1");
        long run = api.post("/api/shots/%d/runs".formatted(shot), "{\"pairs\":[],\"mirrored\":false}")
                .body()
                .at("/run/id")
                .asLong();
        JsonNode found = api.get("/api/runs/%d/steps/key/substitutes?unit=true&missing=".formatted(run))
                .body()
                .get("substitutes");
        assertThat(found.get(0).get("unit").asText()).isEqualTo("Heron 1");
        assertThat(found).allSatisfy(s -> assertThat(s.get("kind").asText()).isEqualTo(SPOT));
    }

    @Test
    void twoUnitsOfOneTagOrNameAreRefusedAndOneThatShotsNameStays() {
        unit("H2", "Heron 2", SPOT, "", "");
        Answer tag = unit("h2", "Heron 3", SPOT, "", "");
        assertThat(tag.status()).isEqualTo(400);
        assertThat(tag.body().get("field").asText()).isEqualTo("tag");
        assertThat(unit("H3", "heron 2", SPOT, "", "").body().get("detail").asText())
                .startsWith("Another unit is called Heron 2 already");
        long id = unitOf("Heron 2").get("id").asLong();
        Answer gone = api.delete(path("/kit/units/%d".formatted(id)), null);
        assertThat(gone.status()).isEqualTo(400);
        assertThat(gone.body().get("detail").asText()).startsWith("Heron 2 stands in 4A, 4B, 4C");
        Answer renamed = api.put(path("/kit/units/%d".formatted(id)), UNIT.formatted("H2", "Egret", SPOT, "", ""), 1L);
        assertThat(renamed.body().get("detail").asText()).contains("The plots know it by that name");
        unit("Z", "Nobody", SPOT, "", "");
        assertThat(api.delete(
                                path("/kit/units/%d"
                                        .formatted(unitOf("Nobody").get("id").asLong())),
                                null)
                        .status())
                .isEqualTo(204);
    }

    @Test
    void whoChangesAUnitAnewIsToldOfTheOtherAndWhatWasIsKept() {
        unit("H2", "Heron 2", SPOT, "", "");
        String at = path("/kit/units/%d".formatted(unitOf("Heron 2").get("id").asLong()));
        assertThat(api.put(at, UNIT.formatted("H-02", "Heron 2", SPOT, "", ""), 1L)
                        .status())
                .isEqualTo(204);
        Answer stale = api.put(at, UNIT.formatted("H-03", "Heron 2", SPOT, "", ""), 1L);
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.body().at("/conflict/tag").asText()).isEqualTo("H-02");
        assertThat(api.get(at + "/earlier").body().at("/0/was/tag").asText()).isEqualTo("H2");
        assertThat(api.get("/api/units/h-02")
                        .body()
                        .at("/units/0/unit/unit/name")
                        .asText())
                .isEqualTo("Heron 2");
        assertThat(api.get("/api/units/none").body().get("units")).isEmpty();
    }

    @Test
    void theSameIsCountedOnceAndAnAddressIsOne() {
        counted("Half CTO", "ROLL", "\"lengthM\":4.2", 1);
        Answer twice = counted("half cto", "ROLL", "\"lengthM\":4.2", 2);
        assertThat(twice.status()).isEqualTo(400);
        assertThat(twice.body().get("detail").asText()).contains("is counted already");
        assertThat(counted("Stand", "STAND", "", -1).body().get("field").asText())
                .isEqualTo("count");
        assertThat(api.put(path("/kit/address"), "{\"address\":\"our phone\"}", 0L)
                        .status())
                .isEqualTo(400);
        assertThat(api.put(path("/kit/address"), "{\"address\":\"http://oblume.local:8080/\"}", 0L)
                        .status())
                .isEqualTo(204);
        assertThat(api.get(path("/kit")).body().get("address").asText()).isEqualTo("http://oblume.local:8080");
    }

    @Test
    void aListIsPulledCountedOutAndBackAndItsMissingAreTold() {
        api.post(path("/kit/named"), "{}");
        counted("Stand", "STAND", "", 11);
        JsonNode list = api.post(path("/pull-lists"), "{\"day\":1}").body();
        String at = "/api/pull-lists/%d".formatted(list.get("id").asLong());
        JsonNode stand = lineOf(list, "Stand");
        assertThat(stand.get("wanted").asInt()).isEqualTo(4);
        assertThat(lineOf(list, SPOT).at("/item/unit").asText()).isEqualTo("Heron 2");
        String line = at + "/lines/%d".formatted(stand.get("id").asLong());
        JsonNode out = api.put(
                        line, "{\"out\":4,\"back\":0}", stand.get("version").asLong())
                .body();
        assertThat(lineOf(out, "Stand").get("missing").asInt()).isEqualTo(4);
        Answer stale =
                api.put(line, "{\"out\":3,\"back\":0}", stand.get("version").asLong());
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.body().get("detail").asText()).contains("counted it since you saw it: 4 out, 0 back");
        long version = lineOf(out, "Stand").get("version").asLong();
        Answer tooMany = api.put(line, "{\"out\":4,\"back\":5}", version);
        assertThat(tooMany.body().get("detail").asText()).startsWith("Only 4 went out");
        assertThat(api.delete(at, null).body().get("detail").asText()).contains("4 of it are out and not counted back");
        api.put(line, "{\"out\":4,\"back\":3}", version);
        JsonNode wrapped = api.post(at + "/wrap", "").body();
        assertThat(wrapped.get("missing").asInt()).isEqualTo(1);
        assertThat(api.put(line, "{\"out\":4,\"back\":4}", version + 1)
                        .body()
                        .get("detail")
                        .asText())
                .startsWith("This list is wrapped");
        assertThat(api.post(path("/pull-lists"), "{\"day\":1,\"sceneId\":%d}".formatted(scene))
                        .status())
                .isEqualTo(400);
        assertThat(api.post(path("/pull-lists"), "{\"sceneId\":%d}".formatted(scene))
                        .body()
                        .get("title")
                        .asText())
                .isEqualTo("Sc. 4");
    }

    @Test
    void whatIsWantedSinceItWasMadeIsToldAndPutOn() {
        unit("H2", "Heron 2", SPOT, "", "");
        JsonNode list = api.post(path("/pull-lists"), "{\"day\":1}").body();
        String at = "/api/pull-lists/%d".formatted(list.get("id").asLong());
        assertThat(api.get(at + "/since").body().get("since")).isEmpty();
        counted("Sandbag", "SANDBAG", "", 20);
        assertThat(api.get(at + "/since")
                        .body()
                        .get("since")
                        .get(0)
                        .get("metric")
                        .asText())
                .isEqualTo("4 more Sandbag");
        JsonNode taken = api.post(at + "/since", "").body();
        assertThat(api.get(at + "/since").body().get("since")).isEmpty();
        assertThat(lineOf(taken, "Sandbag").get("wanted").asInt()).isEqualTo(4);
    }

    private static JsonNode lineOf(JsonNode list, String what) {
        for (JsonNode line : list.get("lines")) {
            if (line.at("/item/what/metric").asText().equals(what)) {
                return line;
            }
        }
        throw new AssertionError("Not on the list: " + what);
    }

    /** The other crew's day is of the same date and shoots 4C while the first has 4A: two spots at once, though each shot has one. */
    @Test
    void whatTwoCrewsOfOneDateShootAtOnceAddsUp() {
        counted(SPOT, "PIECE", "", 1);
        assertThat(line(2, SPOT).get("count").asInt()).isEqualTo(1);
        assertThat(line(1, SPOT).get("count").asInt()).isEqualTo(1);
        api.put(
                path("/days/2"),
                "{\"date\":\"2026-11-16\",\"unit\":\"second\",\"place\":\"\",\"zone\":\"Etc/UTC\",\"call\":\"09:00\",\"wrap\":\"19:00\",\"leastMinutes\":5,\"pauses\":[]}",
                0L);
        JsonNode together = line(1, "Stand");
        assertThat(together.get("count").asInt()).as("four in 4A, five in 4C").isEqualTo(9);
        assertThat(together.get("shots").toString()).contains("4A", "4B", "4C");
        assertThat(line(1, SPOT).get("count").asInt())
                .as("one named unit stands once")
                .isEqualTo(1);
        assertThat(line(2, "Stand").get("count").asInt()).isEqualTo(9);
    }

    @Test
    void aSceneAndASetHaveListsOfTheirOwn() {
        counted("Stand", "STAND", "", 11);
        long set = api.get(path("/sets")).body().get(0).get("id").asLong();
        JsonNode ofSet =
                api.post(path("/pull-lists"), "{\"setId\":%d}".formatted(set)).body();
        JsonNode needed = null;
        for (JsonNode line :
                api.get("/api/scenes/%d/kit".formatted(scene)).body().get("lines")) {
            needed = line.get("what").asText().equals("Stand") ? line : needed;
        }
        assertThat(needed).isNotNull();
        assertThat(lineOf(ofSet, "Stand").get("wanted").asInt())
                .isEqualTo(needed.get("count").asInt())
                .isEqualTo(5);
        assertThat(api.post(path("/pull-lists"), "{\"day\":4}")
                        .body()
                        .get("detail")
                        .asText())
                .startsWith("Day 4 needs nothing of the kit");
    }

    @Test
    void theWrongClothIsSaidBeforeItIsUp() {
        unit("C-U", "Muslin 2", "Muslin, unbleached", "\"widthM\":1.2,\"lengthM\":1.2", "");
        unit("C-B", "Muslin 1", "Muslin, bleached", "\"widthM\":1.2,\"lengthM\":1.2", "");
        long run = api.post("/api/shots/%d/runs".formatted(shot), "{\"pairs\":[],\"mirrored\":false}")
                .body()
                .at("/run/id")
                .asLong();
        String at = "/api/runs/%d/steps/key/named".formatted(run);
        JsonNode wrong = api.put(at, "{\"named\":\"c-b\"}", 0L).body();
        assertThat(wrong.get("right").asBoolean()).isFalse();
        assertThat(wrong.at("/sentence/metric").asText())
                .startsWith(
                        "That is Muslin 1 (Muslin, bleached); Muslin, unbleached is recorded. With it: 6 mired cooler");
        assertThat(wrong.at("/instead/0/attribute").asText()).isEqualTo("MODIFIERS");
        assertThat(hung(run)).isEmpty();
        assertThat(api.put(at, "{\"named\":\"Muslin 2\"}", 0L)
                        .body()
                        .get("right")
                        .asBoolean())
                .isTrue();
        assertThat(hung(run)).isEqualTo("Muslin 2, Muslin, unbleached");
        assertThat(api.put(at, "{\"named\":\"ladder\"}", 0L)
                        .body()
                        .get("detail")
                        .asText())
                .startsWith("Nothing of the kit is called “ladder”");
    }

    private String hung(long run) {
        for (JsonNode step : api.get("/api/runs/%d".formatted(run)).body().get("steps")) {
            if (step.at("/placed/placement/key").asText().equals("key")) {
                return step.path("hung").asText();
            }
        }
        throw new AssertionError();
    }
}
