package org.oblume.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/** Worked cases from {@code src/test/resources/cases}: a request, and the answer within a tolerance or the field refused. */
public record Cases(String name, JsonNode request, JsonNode answer, JsonNode tolerance, String problemField) {

    public static Stream<Cases> of(String file) {
        try (InputStream json = Cases.class.getResourceAsStream("/cases/" + file + ".json")) {
            JsonNode all = new ObjectMapper().readTree(json);
            return StreamSupport.stream(all.spliterator(), false)
                    .map(c -> new Cases(
                            c.get("name").asText(),
                            c.get("request"),
                            c.get("answer"),
                            c.get("tolerance"),
                            c.path("problemField").asText(null)));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** A test for each case of a file that has an answer. */
    public static Stream<DynamicTest> answered(String file, Consumer<Cases> check) {
        return of(file).filter(c -> c.problemField() == null)
                .map(c -> DynamicTest.dynamicTest(c.name(), () -> check.accept(c)));
    }

    /** A number of the request. */
    public double number(String field) {
        return request.get(field).asDouble();
    }

    public double number(String field, double otherwise) {
        return request.path(field).asDouble(otherwise);
    }

    public String text(String field) {
        return request.get(field).asText();
    }

    public Kelvin kelvin(String field) {
        return Kelvin.of(number(field));
    }

    public WhitePoint white(String kelvinField, String duvField) {
        return WhitePoint.of(kelvin(kelvinField), Duv.of(number(duvField, 0)));
    }

    public void assertAnswer(String field, boolean value) {
        assertThat(value).as(name + ": " + field).isEqualTo(answer.get(field).asBoolean());
    }

    public void assertAnswer(String field, double value) {
        double allowed = Math.max(tolerance.get(field).asDouble(), 1e-12);
        assertThat(value)
                .as(name + ": " + field)
                .isBetween(
                        answer.get(field).asDouble() - allowed,
                        answer.get(field).asDouble() + allowed);
    }

    @Override
    public String toString() {
        return name;
    }
}
