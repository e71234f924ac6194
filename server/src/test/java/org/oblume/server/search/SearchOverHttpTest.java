package org.oblume.server.search;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class SearchOverHttpTest {

    @Autowired
    private Api api;

    private JsonNode find(String words) {
        return api.get("/api/search?q=" + java.net.URLEncoder.encode(words, java.nio.charset.StandardCharsets.UTF_8))
                .body();
    }

    private static List<String> slates(JsonNode found) {
        return StreamSupport.stream(found.get("shots").spliterator(), false)
                .map(s -> s.get("slate").asText())
                .toList();
    }

    /** A shot, what is looked for, and what says why. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4C  | bench lamp repairer   | Bench lamp",
                "4A  | wide repairer         | Wide: the repairer alone",
                "11A | glasshouse            | Sc. 11",
                "4C  | day 1                 | day",
            })
    void aShotIsFoundByWhatIsRecordedOfIt(String slate, String words, String why) {
        JsonNode shot = StreamSupport.stream(find(words).get("shots").spliterator(), false)
                .filter(s -> s.get("slate").asText().equals(slate))
                .findFirst()
                .orElseThrow();
        assertThat(shot.get("why").toString().toLowerCase(java.util.Locale.ROOT))
                .contains(why.toLowerCase(java.util.Locale.ROOT));
    }

    @Test
    void aNoteIsFoundAsSoonAsItIsWrittenAndAGelAsSoonAsItHangs() {
        long shot = api.shotFrom("4K", api.shot("4C"));
        assertThat(slates(find("heronry shutters"))).isEmpty();
        api.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"Heronry shutters rattle\"}");
        assertThat(slates(find("heronry shutters"))).containsExactly("4K");

        api.tie(
                shot,
                "edge",
                "MODIFIERS",
                "{\"value\":{\"items\":[{\"name\":\"Rosewater gel\",\"stops\":0.3,\"miredShift\":10,\"duvShift\":0,\"softens\":false}]},\"reason\":\"LOOK\"}",
                0);
        JsonNode gel = find("edge rosewater");
        assertThat(slates(gel)).containsExactly("4K");
        assertThat(gel.at("/shots/0/why/0/text").asText()).contains("Rosewater gel");
        assertThat(gel.at("/shots/0/why/0/about").asText()).isEqualTo("THING");
    }

    @Test
    void whoRecordedIsFoundAndUnitsOfTheKitToo() {
        long shot = api.shotFrom("4L", api.shot("4C"));
        api.joined("zephyrine", "CREW").tie(shot, "key", "LEVEL", "{\"text\":\"33\",\"reason\":\"MATCH\"}", 0);
        assertThat(slates(find("zephyrine"))).containsExactly("4L");
        assertThat(find("heron").get("others").toString()).contains("UNIT", "Heron 2");
    }

    @Test
    void aWordThatIsNowhereFindsNothingHoweverWellTheOthersDo() {
        assertThat(slates(find("bench quetzalcoatlus"))).isEmpty();
    }

    @Test
    void nothingToLookForIsRefused() {
        assertThat(api.get("/api/search?q=%20").status()).isEqualTo(400);
    }

    @Test
    void aShotThatCarriesAllItsLightIsLitLikeTheOneItCarriesFrom() throws Exception {
        long shot = api.shotFrom("4M", api.shotFrom("4N", api.shot("4C")));
        List<JsonNode> steps = lines(shot);
        JsonNode last = steps.get(steps.size() - 1);
        assertThat(last.get("looked").asInt()).isEqualTo(last.get("of").asInt());
        assertThat(last.get("asked").asText()).contains("stops between the cheeks");
        JsonNode likest = last.at("/shots/0");
        assertThat(likest.get("off").asDouble()).isZero();
        assertThat(StreamSupport.stream(last.get("shots").spliterator(), false)
                        .filter(s -> s.get("off").asDouble() == 0)
                        .map(s -> s.get("slate").asText()))
                .contains("4N");

        double levelBefore = last.get("shots").size();
        api.tie(shot, "key", "LEVEL", "{\"text\":\"1\",\"reason\":\"LOOK\"}", 0);
        List<JsonNode> dim = lines(shot);
        assertThat(dim.get(dim.size() - 1).get("shots").toString()).doesNotContain("\"off\":0.0");
        assertThat(levelBefore).isPositive();
    }

    private List<JsonNode> lines(long shot) throws Exception {
        String body =
                new String(api.file("/api/shots/%d/alike".formatted(shot)), java.nio.charset.StandardCharsets.UTF_8);
        com.fasterxml.jackson.databind.ObjectMapper json = new com.fasterxml.jackson.databind.ObjectMapper();
        List<JsonNode> all = new java.util.ArrayList<>();
        for (String line : body.split("\n")) {
            all.add(json.readTree(line));
        }
        return all;
    }
}
