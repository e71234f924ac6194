package org.oblume.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.junit.jupiter.api.Test;

/** A file that was exported before kinds lost a maker's word is read as if it were written today. */
class OlderSceneFileTest {

    private static JsonNode upgraded(String placement) throws JsonProcessingException {
        JsonNode file = new ObjectMapper().readTree("{\"placements\":[" + placement + "]}");
        OlderSceneFile.upgrade(file);
        return file.at("/placements/0/piece");
    }

    @Test
    void aDischargeLampBearsTheFieldsWordAndWarmsUp() throws JsonProcessingException {
        JsonNode piece = upgraded(
                "{\"kind\":\"HEAD\",\"piece\":{\"what\":\"HMI Fresnel 1.2 kW\",\"lamp\":{\"upkeep\":{\"noise\":\"ballast hum\"}}}}");
        assertThat(piece.get("what").asText()).isEqualTo("Discharge Fresnel 1.2 kW");
        assertThat(piece.at("/lamp/upkeep/warmUpS").asDouble()).isEqualTo(45);
    }

    @Test
    void whoeverWasCalledSoWearsGlasses() throws JsonProcessingException {
        assertThat(upgraded("{\"kind\":\"MARK\",\"piece\":{\"what\":\"Person with glasses\"}}")
                        .get("glasses")
                        .asBoolean())
                .isTrue();
        assertThat(upgraded("{\"kind\":\"PRACTICAL\",\"piece\":{\"what\":\"Lamp of glasses\"}}")
                        .has("glasses"))
                .isFalse();
    }

    @Test
    void aFileOfTodayIsLeftAsItIs() throws JsonProcessingException {
        JsonNode piece = upgraded(
                "{\"kind\":\"MARK\",\"piece\":{\"what\":\"Person with glasses in her hand\",\"glasses\":false}}");
        assertThat(piece.get("glasses").asBoolean()).isFalse();
    }

    @Test
    void whatIsNotAsTheFormatHasItIsLeftToTheSchema() throws JsonProcessingException {
        assertThat(upgraded("{\"piece\":7}").asInt()).isEqualTo(7);
    }
}
