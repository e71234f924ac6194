package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.regex.Pattern;

/** What an attack found: an answer that no one should get. */
final class Findings {

    private static final Duration LONGEST = Duration.ofSeconds(6);
    private static final int REFUSED = 400;
    private static final int FAILED = 500;
    private static final int NOT_NOW = 503;
    private static final Pattern INNARDS = Pattern.compile(
            "\\w+Exception|java\\.(lang|util|io)\\.|org\\.(springframework|hibernate|h2|oblume)\\.|\\tat ");
    private static final int SHOWN = 400;

    private final ObjectMapper json = new ObjectMapper();
    private final Map<String, String> found = new ConcurrentSkipListMap<>();
    private final Map<Integer, Integer> answers = new TreeMap<>();

    /** Judges an answer to anything. */
    void judge(String call, String sent, HttpResponse<byte[]> answer, Duration took) {
        int status = answer.statusCode();
        synchronized (answers) {
            answers.merge(status, 1, Integer::sum);
        }
        String type = answer.headers().firstValue("Content-Type").orElse("");
        String text =
                type.contains("json") || type.contains("text") ? new String(answer.body(), StandardCharsets.UTF_8) : "";
        if (took.compareTo(LONGEST) > 0) {
            found(call, "took " + took.toMillis() + " ms", sent, text);
        }
        if (status >= FAILED && status != NOT_NOW) {
            found(call, "fails with " + status, sent, text);
        } else if (status >= REFUSED) {
            refusal(call, sent, type, text);
        } else if (type.contains("json") && !text.isEmpty()) {
            try {
                json.readTree(text);
            } catch (JsonProcessingException broken) {
                found(call, "answers what is not JSON", sent, text);
            }
        }
        if (status >= REFUSED && INNARDS.matcher(text).find()) {
            found(call, "shows its innards", sent, text);
        }
    }

    private void refusal(String call, String sent, String type, String text) {
        try {
            JsonNode problem = json.readTree(text);
            if (!type.startsWith("application/problem+json")
                    || !problem.path("detail").asText().contains(" ")) {
                found(call, "refuses without a sentence", sent, type + " " + text);
            }
        } catch (JsonProcessingException broken) {
            found(call, "refuses without a sentence", sent, type + " " + text);
        }
    }

    void found(String call, String what, String sent, String answered) {
        // the first of a kind is enough
        found.putIfAbsent(
                call + ": " + what.replaceAll("\\d{4,} ms", "too long"),
                "%s: %s\n    sent     %s\n    answered %s".formatted(call, what, shortened(sent), shortened(answered)));
    }

    private static String shortened(String text) {
        String line = text.replaceAll("\\s+", " ");
        return line.length() <= SHOWN ? line : line.substring(0, SHOWN) + " … (" + text.length() + ")";
    }

    String summary() {
        synchronized (answers) {
            return answers.toString();
        }
    }

    void none() {
        assertThat(String.join("\n", found.values())).isEmpty();
    }
}
