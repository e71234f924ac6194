package org.oblume.server.bench;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Shutter;
import org.oblume.core.plot.Speed;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Length;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Reads what a person typed, so that {@code 8 1/3} and {@code 7'10"} have one reader. */
@ForAnyone
@Asks
@RestController
@RequestMapping("/api/bench")
class ReadController {

    /** What a field takes. The last two differ from the ones before them in what a bare number means. */
    enum Kind {
        KELVIN(text -> plain(Kelvin.parse(text).value())),
        DUV(text -> plain(Duv.parse(text).value())),
        STOPS(text -> plain(Stops.parse(text).value())),
        T_STOP(text -> plain(TStop.parse(text).number())),
        ISO(text -> plain(Speed.parse(text).iso())),
        SHUTTER_SECONDS(text -> plain(Shutter.parse(text).seconds())),
        LEVEL(text -> plain(Percent.parse(text).value())),
        NUMBER(text -> plain(Numbers.parse(text))),
        WHOLE(text -> plain(Numbers.parseWhole(text))),
        LENGTH(text -> length(Length.parse(text))),
        LIGHT(text -> light(Illuminance.parse(text))),
        LENGTH_IN_FEET(text -> length(Length.parseInFeet(text))),
        LIGHT_IN_FOOTCANDLES(text -> light(Illuminance.parseInFootcandles(text)));

        private final Function<String, Understood> reader;

        Kind(Function<String, Understood> reader) {
            this.reader = reader;
        }

        Understood read(String text) {
            try {
                return reader.apply(text);
            } catch (Refusal refusal) {
                return new Understood(null, null, null, refusal.getMessage());
            }
        }

        private static Understood plain(double value) {
            return new Understood(value, null, null, null);
        }

        private static Understood length(Length length) {
            return new Understood(length.metres(), length.printMetric(), length.printImperial(), null);
        }

        private static Understood light(Illuminance light) {
            return new Understood(light.lux(), light.printMetric(), light.printImperial(), null);
        }
    }

    record Typed(@Nullable Kind kind, @Nullable String text) {}

    record AllTyped(@Nullable List<@Nullable Typed> items) {}

    /**
     * @param value in the unit of its kind (metres, lux), or null when it was not understood
     * @param metric and {@code imperial}: how it is said, for lengths and light
     * @param problem what to type instead, or null
     */
    record Understood(
            @Nullable Double value, @Nullable String metric, @Nullable String imperial, @Nullable String problem) {}

    record AllUnderstood(List<Understood> items) {}

    @PostMapping("/read")
    AllUnderstood read(@RequestBody AllTyped asked) {
        return new AllUnderstood(RequestValues.list("items", asked.items()).stream()
                .map(item ->
                        RequestValues.required("kind", item.kind()).read(RequestValues.required("text", item.text())))
                .toList());
    }
}
