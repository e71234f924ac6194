package org.oblume.server.archive;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.StreamSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.FreshDatabase;
import org.oblume.server.OblumeApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** Two servers that never hear of each other but by archives: the main unit's, and the second unit's on its island. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TwoUnitsOverHttpTest {

    private final ObjectMapper json = new ObjectMapper();

    private final List<ConfigurableApplicationContext> machines = new ArrayList<>();
    private Api main;
    private Api island;
    private int productions;
    private String name;
    private long here;
    private long there;
    private long shotHere;
    private long shotThere;

    @BeforeAll
    void twoMachines() {
        main = machine();
        island = machine();
    }

    private Api machine() {
        machines.add(new SpringApplicationBuilder(OblumeApplication.class, Api.class)
                .profiles("demo", "test")
                .initializers(new FreshDatabase())
                .run("--server.port=0"));
        return machines.get(machines.size() - 1).getBean(Api.class).as("LEAD");
    }

    @AfterAll
    void goHome() {
        machines.forEach(ConfigurableApplicationContext::close);
    }

    /** A production of one scene, which the second unit took along. */
    @BeforeEach
    void theSecondUnitLeaves() throws Exception {
        name = "Two units " + ++productions;
        ObjectNode scene = (ObjectNode) main.get("/api/scenes/%d/export".formatted(main.sceneOf(main.shot("4A"))))
                .body();
        ((ObjectNode) scene.get("production")).put("name", name);
        here = main.post("/api/scenes/import", scene.toString())
                .body()
                .get("productionId")
                .asLong();
        shotHere = shot(main, "4C");
        Answer taken = takeIn(island, archive(main, here), "[]");
        assertThat(taken.status()).isEqualTo(200);
        there = taken.body().get("productionId").asLong();
        shotThere = shot(island, "4C");
    }

    @Test
    void aProductionComesBackWholeOnAnotherMachine() throws Exception {
        byte[] demo = archive(main, 1);
        Answer looked = island.upload("/api/archives", demo);
        assertThat(looked.body().get("nameTaken").asBoolean()).isTrue();
        Answer refused = island.post(path(looked), "{\"answers\":[]}");
        assertThat(refused.detail())
                .isEqualTo("There is a production called Saltmarsh Line already: choose another name.");
        Answer taken = island.post(path(looked), "{\"name\":\"Saltmarsh Line, main unit\",\"answers\":[]}");
        assertThat(taken.status()).isEqualTo(200);

        Map<String, String> sent = record(demo);
        Map<String, String> back =
                record(archive(island, taken.body().get("productionId").asLong()));
        assertThat(sent.get("record/reading.json")).contains("lux");
        for (String entry : sent.keySet()) {
            if (!entry.equals("record/production.json") && !entry.contains("own_")) {
                assertThat(back.get(entry)).as(entry).isEqualTo(sent.get(entry));
            }
        }
    }

    @Test
    void whatOneSideChangedIsKeptAndWhatBothChangedIsAsked() throws Exception {
        say(main, shotHere, "key", "61");
        say(island, shotThere, "key", "42");
        say(island, shotThere, "edge", "33");
        say(main, shotHere, "bench-lamp", "12");
        island.post("/api/shots/%d/notes".formatted(shotThere), "{\"text\":\"gulls in every take\"}");

        byte[] fromTheIsland = archive(island, there);
        Answer looked = main.upload("/api/archives", fromTheIsland);
        ArrayNode questions = (ArrayNode) looked.body().get("questions");
        assertThat(questions).hasSize(1);
        JsonNode asked = questions.get(0);
        assertThat(asked.get("where").asText()).isEqualTo("Sc. 4, 4C");
        assertThat(asked.get("what").asText()).isEqualTo("Key: level");
        assertThat(asked.at("/here/metric").asText()).isEqualTo("61 %");
        assertThat(asked.at("/there/metric").asText()).isEqualTo("42 %");
        assertThat(asked.get("later").asText()).isEqualTo("THERE");

        Answer open = main.post(path(looked), "{\"answers\":[]}");
        assertThat(open.detail()).isEqualTo("One thing that both changed is not answered yet: say which is kept.");
        assertThat(main.say(shotHere, "edge", "LEVEL")).isNotEqualTo("33 %");

        Answer merged = main.post(
                path(looked),
                "{\"answers\":[{\"id\":\"%s\",\"side\":\"THERE\"}]}"
                        .formatted(asked.get("id").asText()));
        assertThat(merged.status()).isEqualTo(200);
        assertThat(main.say(shotHere, "key", "LEVEL")).isEqualTo("42 %");
        assertThat(main.say(shotHere, "edge", "LEVEL")).isEqualTo("33 %");
        assertThat(main.say(shotHere, "bench-lamp", "LEVEL")).isEqualTo("12 %");
        assertThat(main.get("/api/shots/%d/notes".formatted(shotHere)).body().toString())
                .contains("gulls in every take");
        assertThat(main.get("/api/shots/%d/history".formatted(shotHere)).body().toString())
                .contains("61 %", "42 %");
    }

    @Test
    void whatIsKeptHereIsTheNewestOfItsHistoryToo() throws Exception {
        say(main, shotHere, "key", "61");
        say(island, shotThere, "key", "42");
        Answer looked = main.upload("/api/archives", archive(island, there));
        main.post(path(looked), answers(looked, "HERE"));

        assertThat(main.say(shotHere, "key", "LEVEL")).isEqualTo("61 %");
        JsonNode newest =
                main.get("/api/shots/%d/history".formatted(shotHere)).body().at("/changes/0");
        assertThat(newest.toString()).contains("61 %");
    }

    @Test
    void twiceIsOnceAndAnOlderOneBringsNothing() throws Exception {
        byte[] older = archive(main, here);
        say(main, shotHere, "key", "61");
        say(island, shotThere, "edge", "33");
        byte[] fromTheIsland = archive(island, there);
        takeIn(main, fromTheIsland, "[]");
        Map<String, String> once = record(archive(main, here));

        assertThat(takeIn(main, fromTheIsland, "[]").body().get("brings")).isEmpty();
        assertThat(takeIn(main, older, "[]").body().get("brings")).isEmpty();
        assertThat(takeIn(main, archive(main, here), "[]").body().get("brings")).isEmpty();
        assertThat(record(archive(main, here))).isEqualTo(once);
    }

    @Test
    void anArchiveIsOfOneMomentWhileOthersRecord() throws Exception {
        AtomicInteger recorded = new AtomicInteger();
        int archives = 0;
        Thread others = new Thread(() -> {
            for (int i = 0; i < 60; i++) {
                long made = main.shotFrom("7" + i, shotHere);
                say(main, made, "key", "" + (10 + i));
                recorded.incrementAndGet();
            }
        });
        others.start();
        while (others.isAlive()) {
            archives++;
            Map<String, String> record = record(archive(main, here));
            List<String> shots = uids(record, "record/shot.json", "uid");
            for (String table : List.of("record/knot.json", "record/knot_event.json", "record/edit.json")) {
                assertThat(shots).containsAll(uids(record, table, "shot"));
            }
        }
        assertThat(recorded).hasValue(60);
        assertThat(archives).isGreaterThan(10);
    }

    private List<String> uids(Map<String, String> record, String table, String property) throws IOException {
        List<String> all = new ArrayList<>();
        json.readTree(record.get(table))
                .forEach(row -> all.add(row.get(property).asText()));
        return all;
    }

    /** Main unit to island and back, both ways: both have the same. */
    @Test
    void bothSidesEndWithTheSameValues() throws Exception {
        say(main, shotHere, "key", "61");
        say(island, shotThere, "edge", "33");
        takeIn(main, archive(island, there), "[]");
        takeIn(island, archive(main, here), "[]");
        Map<String, String> ours = record(archive(main, here));
        Map<String, String> theirs = record(archive(island, there));
        assertThat(sorted(theirs.get("record/knot.json"))).isEqualTo(sorted(ours.get("record/knot.json")));
        assertThat(sorted(theirs.get("record/knot_event.json"))).isEqualTo(sorted(ours.get("record/knot_event.json")));
    }

    @Test
    void twoShotsOfOneSlateAreBothThere() throws Exception {
        main.shotFrom("4P", shotHere);
        long second = island.shotFrom("4P", shotThere);
        say(island, second, "key", "17");

        Answer merged = takeIn(main, archive(island, there), "[]");

        assertThat(merged.body().at("/renamed/0").asText())
                .isEqualTo("Sc. 4: 4P of the archive is called 4P-2 here, because there is another one of that name.");
        assertThat(main.say(shot(main, "4P-2"), "key", "LEVEL")).isEqualTo("17 %");
        assertThat(main.say(shot(main, "4P"), "key", "LEVEL")).isNotEqualTo("17 %");
    }

    @Test
    void twoThingsOfOneNameStayTwo() throws Exception {
        String kicker =
                """
                {"name":"Kicker","kind":"HEAD","role":"EDGE","beamDeg":40,"reason":"LOOK",
                 "place":{"xM":%s,"yM":3,"outside":false},
                 "piece":{"what":"Bicolour LED spot 150 W","widthM":0.2,"lowestKelvin":2700,"highestKelvin":6500,"watts":165,"mount":"OVERHEAD"}}""";
        assertThat(main.post("/api/shots/%d/placements".formatted(shotHere), kicker.formatted("1.0"))
                        .status())
                .isEqualTo(201);
        assertThat(island.post("/api/shots/%d/placements".formatted(shotThere), kicker.formatted("2.0"))
                        .status())
                .isEqualTo(201);

        takeIn(main, archive(island, there), "[]");

        assertThat(main.placed(shotHere, "kicker").at("/values/PLACE/value/xM").asDouble())
                .isEqualTo(1.0);
        assertThat(main.placed(shotHere, "kicker-2")
                        .at("/values/PLACE/value/xM")
                        .asDouble())
                .isEqualTo(2.0);
        assertThat(main.placed(shotHere, "kicker-2").at("/placement/name").asText())
                .isEqualTo("Kicker 2");
    }

    @Test
    void whatTheIslandShotStaysAsItWasShot() throws Exception {
        long pickUp = island.shotFrom("4S", shotThere);
        String lit = island.say(pickUp, "key", "LEVEL");
        stage(island, pickUp, "LIT");
        stage(island, pickUp, "SHOT");
        // it is based on 4C, which the main unit goes on with
        say(main, shotHere, "key", "5");

        Answer merged = takeIn(main, archive(island, there), "[]");

        assertThat(main.say(shotHere, "key", "LEVEL")).isEqualTo("5 %");
        assertThat(main.say(shot(main, "4S"), "key", "LEVEL")).isEqualTo(lit);
        assertThat(merged.body().get("told").toString()).contains("4S keeps its level of Key as it was shot: " + lit);
    }

    @Test
    void whatOneSideTookOutIsOutUnlessTheOtherWentOnWithIt() throws Exception {
        main.post("/api/looks", "{\"name\":\"Dusk\",\"shotId\":%d}".formatted(shotHere));
        takeIn(island, archive(main, here), "[]");
        JsonNode look = looks(island, shotThere).get(0).get("card");
        assertThat(look.get("name").asText()).isEqualTo("Dusk");
        assertThat(island.delete(
                                "/api/looks/" + look.get("id").asLong(),
                                look.get("version").asLong())
                        .status())
                .isEqualTo(204);

        Answer merged = takeIn(main, archive(island, there), "[]");

        assertThat(looks(main, shotHere)).isEmpty();
        assertThat(merged.body().get("brings").toString())
                .contains("{\"what\":\"looks\",\"added\":0,\"changed\":0,\"takenOut\":1}");
    }

    @Test
    void aShotThatOneSideDeletedAndTheOtherWentOnWithIsAsked() throws Exception {
        long gone = main.shotFrom("4Q", shotHere);
        takeIn(island, archive(main, here), "[]");
        say(island, shot(island, "4Q"), "key", "18");
        assertThat(main.delete("/api/shots/" + gone, 0L).status()).isEqualTo(204);

        Answer looked = main.upload("/api/archives", archive(island, there));
        assertThat(looked.body().get("questions")).hasSize(1);
        assertThat(looked.body().at("/questions/0").has("here")).isFalse();
        main.post(path(looked), answers(looked, "THERE"));

        assertThat(main.say(shot(main, "4Q"), "key", "LEVEL")).isEqualTo("18 %");
    }

    private static JsonNode looks(Api unit, long shot) {
        return unit.get("/api/scenes/%d/carry".formatted(unit.sceneOf(shot)))
                .body()
                .get("looks");
    }

    private static void say(Api unit, long shot, String thing, String percent) {
        long version = unit.placed(shot, thing).at("/revisions/LEVEL").asLong(0);
        Answer answer =
                unit.tie(shot, thing, "LEVEL", "{\"text\":\"%s\",\"reason\":\"MATCH\"}".formatted(percent), version);
        assertThat(answer.status()).as(answer.toString()).isEqualTo(200);
    }

    private static void stage(Api unit, long shot, String stage) {
        ObjectNode card = bookShot(unit, shot).deepCopy();
        long version = card.get("version").asLong();
        card.put("stage", stage).retain("slate", "description", "day", "stage", "basedOnId");
        Answer answer = unit.put("/api/shots/" + shot, card.toString(), version);
        assertThat(answer.status()).as(answer.toString()).isEqualTo(200);
    }

    private static ObjectNode bookShot(Api unit, long shot) {
        return unit.get("/api/book").body().findValues("shots").stream()
                .flatMap(shots -> StreamSupport.stream(shots.spliterator(), false))
                .filter(s -> s.get("id").asLong() == shot)
                .map(ObjectNode.class::cast)
                .findFirst()
                .orElseThrow();
    }

    private long shot(Api unit, String slate) {
        return StreamSupport.stream(
                        unit.get("/api/book").body().get("productions").spliterator(), false)
                .filter(p -> p.at("/production/name").asText().equals(name))
                .flatMap(p -> StreamSupport.stream(p.get("scenes").spliterator(), false))
                .flatMap(s -> StreamSupport.stream(s.get("shots").spliterator(), false))
                .filter(s -> s.get("slate").asText().equals(slate))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    private static byte[] archive(Api unit, long production) throws IOException, InterruptedException {
        return unit.file("/api/productions/%d/archive".formatted(production));
    }

    private static String path(Answer looked) {
        assertThat(looked.status()).as(looked.toString()).isEqualTo(201);
        return "/api/archives/" + looked.body().get("id").asText();
    }

    private static Answer takeIn(Api unit, byte[] archive, String answers) {
        Answer looked = unit.upload("/api/archives", archive);
        Answer taken = unit.post(path(looked), "{\"answers\":%s}".formatted(answers));
        assertThat(taken.status()).as(taken.toString()).isEqualTo(200);
        return taken;
    }

    private String answers(Answer looked, String side) {
        ArrayNode all = json.createArrayNode();
        looked.body()
                .get("questions")
                .forEach(q -> all.addObject().put("id", q.get("id").asText()).put("side", side));
        return json.createObjectNode().set("answers", all).toString();
    }

    private static String sorted(String rows) {
        return String.join(
                "\n",
                Objects.requireNonNull(rows)
                        .lines()
                        .map(l -> l.replaceAll("^[\\[,\\s]+|]$", ""))
                        .sorted()
                        .toList());
    }

    /** The files of the record by name; of pictures their size. */
    private static Map<String, String> record(byte[] archive) throws IOException {
        Map<String, String> all = new TreeMap<>();
        try (InputStream in = new ByteArrayInputStream(archive);
                ZipInputStream zip = new ZipInputStream(in)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] bytes = zip.readAllBytes();
                if (entry.getName().startsWith("record/")) {
                    all.put(entry.getName(), new String(bytes, java.nio.charset.StandardCharsets.UTF_8));
                } else if (entry.getName().startsWith("pictures/")) {
                    all.put(entry.getName(), Integer.toString(bytes.length));
                }
            }
        }
        return all;
    }
}
