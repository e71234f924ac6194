package org.oblume.server.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class KitOverHttpTest {

    private static final String MEASURED =
            """
            IESNA:LM-63-2002
            [TEST] none
            [LUMINAIRE] spot
            TILT=NONE
            1 1000 2 5 2 1 2 0.3 0.2 0
            1 1 120
            0 10 20 40 90
            0 90
            1000 900 500 100 0
            1000 700 300 100 0
            """;

    @Autowired
    private Api api;

    @Test
    void theKitHasLightsOfEveryKindWithAllTheirFigures() {
        JsonNode fixtures = api.get("/api/kit").body().get("fixtures");
        long lights = StreamSupport.stream(fixtures.spliterator(), false)
                .filter(f -> f.at("/piece/lamp").isObject())
                .count();
        assertThat(lights).isGreaterThanOrEqualTo(20);
        assertThat(fixtures.findValuesAsText("kind"))
                .contains("NET", "FRAME", "BOUNCE", "MIRROR", "PATTERN", "CURTAIN", "DAYLIGHT");
    }

    @Test
    void aMeasuredBeamIsTheMeanOfItsPlanesTimesItsMultiplier() {
        JsonNode measured = api.upload("/api/kit/beam", MEASURED.getBytes(StandardCharsets.ISO_8859_1))
                .body();
        assertThat(measured.get("candela").asDouble()).isEqualTo(2000);
        assertThat(measured.at("/beam/candela/2").asDouble()).isEqualTo(800);
        assertThat(measured.get("watts").asDouble()).isEqualTo(120);
        assertThat(measured.get("widthM").asDouble()).isCloseTo(0.3, within(1e-9));
        assertThat(measured.get("beamDeg").asDouble()).isBetween(32.0, 40.0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "hello | This is not an LM-63 file",
                "IESNA:LM-63-2002 | ends before its figures",
                "IESNA:LM-63-2002@TILT=NONE@1 1000 1 3 1 2 2 0 0 0@1 1 10@0 45 90@0@1 1 1 | not of photometric type C",
                "IESNA:LM-63-2002@TILT=NONE@1 1000 1 3 1 1 2 0 0 0@1 1 10@0 45 | ends before its figures do",
                "IESNA:LM-63-2002@TILT=NONE@1 1000 one | stands in the LM-63 file where a figure should",
                "IESNA:LM-63-2002@TILT=NONE@1 NaN 1 | stands in the LM-63 file where a figure should",
                "IESNA:LM-63-2002@TILT=NONE@1 1e400 1 | stands in the LM-63 file where a figure should",
                "IESNA:LM-63-2002@TILT=NONE@1 0x1p3 1 | stands in the LM-63 file where a figure should",
                "IESNA:LM-63-2002@TILT=other.tlt@1 | keeps its tilt in another file"
            })
    void aFileThatCannotBeReadSaysWhy(String file, String sentence) {
        Answer answer = api.upload("/api/kit/beam", file.replace('@', '\n').getBytes(StandardCharsets.ISO_8859_1));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains(sentence);
    }

    @Test
    void aKindOfTheCrewsOwnIsInTheKitUntilItIsTakenOut() {
        String own =
                """
                {"kind":"HEAD","beamDeg":40,"stack":{"items":[]},"own":true,"piece":{"what":"%s","widthM":0.2,"watts":200,"mount":"STAND","lowestKelvin":5600,"highestKelvin":5600,
                 "lamp":{"optics":{"spotCandela":9000,"spotBeamDeg":40,"floodCandela":9000,"floodBeamDeg":40},"round":true,"emitterHeightM":0.2,"curve":"LINEAR","lowestPercent":1,"tintReach":0,
                 "upkeep":{"idleWatts":1,"weightKg":2,"noise":"","burn":"ANY","safeDistanceM":0.2,"modes":"","menu":""}}}}""";
        assertThat(api.post("/api/kit/fixtures", own.formatted("Workshop spot")).status())
                .isEqualTo(201);
        assertThat(api.get("/api/kit").body().at("/fixtures/0/piece/what").asText())
                .isEqualTo("Workshop spot");
        assertThat(api.post("/api/kit/fixtures", own.formatted("Flag 1.2 m")).detail())
                .contains("ships with Oblume");
        assertThat(api.post(
                                "/api/kit/fixtures",
                                own.formatted("Bad").replace("\"spotBeamDeg\":40", "\"spotBeamDeg\":400"))
                        .status())
                .isEqualTo(400);
        assertThat(api.delete("/api/kit/fixtures?what=Workshop%20spot", null).status())
                .isEqualTo(204);
        assertThat(api.delete("/api/kit/fixtures?what=Workshop%20spot", null).detail())
                .contains("no kind called");
    }
}
