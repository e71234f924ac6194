package org.oblume.server.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.oblume.server.support.BusyException;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.AuthenticationCredentialsNotFoundException;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** The light of a shot in a scene file that is sent along; nothing is kept. */
@ForAnyone
@Asks
@RestController
class BenchLightController {

    private static final int LARGEST_KB = 512;

    private final ExchangeService exchange;
    private final ObjectMapper json;
    private final Set<String> asking = ConcurrentHashMap.newKeySet();

    BenchLightController(ExchangeService exchange, ObjectMapper json) {
        this.exchange = exchange;
        this.json = json;
    }

    /**
     * @param marks on set in that shot
     * @param unknown lights that are on and cannot be predicted, or not all of their light, with a sentence
     */
    record Predicted(List<PredictedMark> marks, Map<String, String> unknown) {}

    record PredictedMark(
            String key, Falling left, Falling right, @Nullable Falling background, List<PredictedSource> sources) {}

    /**
     * @param kelvin absent in the dark and for what is a colour rather than a white
     * @param swatch as the shot's camera shows it, {@code #rrggbb}
     */
    record Falling(double lux, @Nullable Double kelvin, @Nullable Double duv, String swatch) {}

    record PredictedSource(
            String key, double leftLux, double rightLux, @Nullable Double backgroundLux, double facingLux) {}

    @PostMapping(path = "/api/bench/light", consumes = MediaType.APPLICATION_JSON_VALUE)
    Predicted light(InputStream body, @Nullable Principal person, HttpServletRequest request) throws IOException {
        InetAddress caller = InetAddress.getByName(request.getRemoteAddr());
        if (person == null && !caller.isLoopbackAddress()) {
            throw new AuthenticationCredentialsNotFoundException("Sign in first: this is for the crew.");
        }
        JsonNode asked = json.readTree(question(body));
        String who = person == null ? caller.getHostAddress() : person.getName();
        if (!asking.add(who)) {
            throw new BusyException("Another question of yours is being worked on: wait for its answer.");
        }
        try {
            return predict(asked);
        } finally {
            asking.remove(who);
        }
    }

    private static byte[] question(InputStream body) throws IOException {
        byte[] bytes = body.readNBytes(LARGEST_KB * 1024 + 1);
        if (bytes.length > LARGEST_KB * 1024) {
            throw new PayloadTooLargeException(
                    "The question is larger than %d KB: ask it of a smaller scene.".formatted(LARGEST_KB));
        }
        return bytes;
    }

    Predicted predict(JsonNode asked) throws IOException {
        if (asked == null || !asked.path("scene").isObject()) {
            throw new Refusal("scene", "Give a scene file as “scene”.");
        }
        if (!asked.path("shot").isTextual()) {
            throw new Refusal("shot", "Name a shot of the scene as “shot”, such as 4C.");
        }
        SceneRecord scene = exchange.read(json.writeValueAsBytes(asked.get("scene")));
        Slate slate = new Slate(asked.get("shot").asText());
        if (!scene.book().slates().contains(slate)) {
            throw new Refusal("shot", "There is no shot %s in this scene.".formatted(slate));
        }
        List<String> out = new ArrayList<>();
        asked.path("out").forEach(key -> out.add(key.asText()));
        ShotState state = scene.book().resolve(slate);
        List<Placement> standing = scene.in(state).placements();
        ShotLighting light = ShotLighting.of(scene.set(), standing, state, Set.copyOf(out), Map.of());
        CameraWhite white = ShotLighting.white(standing, state).camera();
        return new Predicted(
                light.marks().stream().map(mark -> mark(mark, white)).toList(), new TreeMap<>(light.unknown()));
    }

    private static PredictedMark mark(MarkLight mark, CameraWhite white) {
        SurfaceLight background = mark.background();
        List<PredictedSource> sources = new ArrayList<>();
        for (int i = 0; i < mark.sources().size(); i++) {
            MarkLight.SourceAtMark source = mark.sources().get(i);
            sources.add(new PredictedSource(
                    source.source(),
                    mark.left().luxOfEach().get(i),
                    mark.right().luxOfEach().get(i),
                    background == null ? null : background.luxOfEach().get(i),
                    source.facingLux()));
        }
        return new PredictedMark(
                mark.key(),
                falling(mark.left(), white),
                falling(mark.right(), white),
                background == null ? null : falling(background, white),
                sources);
    }

    private static Falling falling(SurfaceLight light, CameraWhite white) {
        if (light.mix() == null) {
            return new Falling(0, null, null, "#000000");
        }
        ColourReading reading = light.mix().reading();
        boolean isWhite = Math.abs(reading.duv()) <= Duv.LIMIT;
        return new Falling(
                light.lux(),
                isWhite ? reading.kelvin() : null,
                isWhite ? reading.duv() : null,
                light.mix().seenBy(white).hex());
    }
}
