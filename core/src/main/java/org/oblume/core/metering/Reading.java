package org.oblume.core.metering;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.exposure.Exposure;
import org.oblume.core.light.Turned;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * What was read at one mark of a shot. A reading of all lights is of the lit cheek; one of a light alone is towards that light unless it says that it is towards the lens.
 *
 * @param mark key of the mark
 * @param alone key of the light that was on alone, or null for all of them
 * @param lux incident, above 0 to 200,000 lux, or null
 * @param shadowLux on the shadow cheek, all lights, or null
 * @param backgroundLux on the background, all lights, or null
 * @param kelvin 1000 to 25000, or null
 * @param duv −0.05 to 0.05, + is green; given with the kelvin, or null
 * @param signals on the monitor, all lights
 * @param confirmedBy who said that it is so though something cannot be as recorded, 1 to 60 characters, or null
 * @param turned how the meter was held for a light alone, or null for towards that light
 * @param elsewhere all lights at other places of the mark, each at most once; null for none, as in readings of earlier versions
 */
public record Reading(
        String mark,
        @Nullable String alone,
        @Nullable Double lux,
        @Nullable Double shadowLux,
        @Nullable Double backgroundLux,
        @Nullable Double kelvin,
        @Nullable Double duv,
        Signals signals,
        @Nullable Turned turned,
        @Nullable String confirmedBy,
        @Nullable List<PlaceReading> elsewhere) {

    /** More than any light meter tells, and more than the sun gives. */
    private static final double MOST_LUX = 200_000;
    /** Below T0.5 stops have no names, and no lens has them. */
    private static final double LEAST_NAMED = 0.48;

    private static final int LONGEST_NAME = 60;

    public Reading {
        elsewhere = elsewhere == null || elsewhere.isEmpty() ? null : List.copyOf(elsewhere);
        List<PlaceReading> places = elsewhere == null ? List.of() : elsewhere;
        check("The reading", lux);
        check("The reading of the shadow cheek", shadowLux);
        check("The reading of the background", backgroundLux);
        if (kelvin != null) {
            kelvin = new Kelvin(kelvin).value();
        }
        if (duv != null) {
            duv = new Duv(duv).value();
            if (kelvin == null) {
                throw tintAlone();
            }
        }
        if (alone != null && (shadowLux != null || backgroundLux != null || !signals.none() || !places.isEmpty())) {
            throw new Refusal(
                    "line",
                    "One light alone is read towards that light: leave out other places and the monitor, or say all.");
        }
        if (alone == null && turned != null) {
            throw new Refusal(
                    "line", "All lights are read on the lit cheek: say “to the lens” of one light that is on alone.");
        }
        if (confirmedBy != null) {
            confirmedBy = Checks.text("Who confirmed it", confirmedBy, LONGEST_NAME);
        }
        if (places.stream().map(PlaceReading::label).distinct().count() < places.size()) {
            throw new Refusal("line", "A place is named twice: keep one of its readings.");
        }
        if (lux == null
                && shadowLux == null
                && backgroundLux == null
                && kelvin == null
                && signals.none()
                && places.isEmpty()) {
            throw new Refusal(
                    "line",
                    "There is no reading yet: type one such as T2.8 1/3, 450 lux, 4300 K or lit 54, shadow 12.");
        }
    }

    /** All lights, or one of them with the meter turned to it. */
    public Reading(
            String mark,
            @Nullable String alone,
            @Nullable Double lux,
            @Nullable Double shadowLux,
            @Nullable Double backgroundLux,
            @Nullable Double kelvin,
            @Nullable Double duv,
            Signals signals) {
        this(mark, alone, lux, shadowLux, backgroundLux, kelvin, duv, signals, null, null, List.of());
    }

    /** All lights at other places of the mark. */
    public List<PlaceReading> places() {
        return elsewhere == null ? List.of() : elsewhere;
    }

    /** How the meter is held for a light alone. */
    public Turned towards() {
        return turned == null ? Turned.TO_LIGHT : turned;
    }

    /** The same, and somebody says that it is so. */
    public Reading confirmed(String person) {
        return new Reading(mark, alone, lux, shadowLux, backgroundLux, kelvin, duv, signals, turned, person, elsewhere);
    }

    /**
     * What is known of a light with this reading of it: the light by the newest that read its light, its colour by the newest that read its
     * colour. One by which something cannot be as recorded says nothing until somebody says that it is so.
     *
     * @param before what was known
     * @param predictedLux of it when it was read, above 0, or null when nothing was predicted
     * @param predictedWhite as well
     */
    public Calibration correcting(
            Calibration before, @Nullable Double predictedLux, @Nullable ColourReading predictedWhite) {
        Calibration now = before;
        if (lux != null && predictedLux != null) {
            now = Calibration.of(Illuminance.ofLux(predictedLux), Illuminance.ofLux(lux));
            if (now.isDoubtful() && confirmedBy == null) {
                return before;
            }
            now = now.withColour(before.colour());
        }
        return kelvin == null || predictedWhite == null
                ? now
                : now.withColour(new Calibration.ColourRead(
                        predictedWhite, new ColourReading(kelvin, duv == null ? predictedWhite.duv() : duv)));
    }

    static Refusal tintAlone() {
        return new Refusal(
                "line", "A tint without its colour temperature says little: add the kelvin, such as 4300 K.");
    }

    static void check(String what, @Nullable Double lux) {
        if (lux != null) {
            Checks.within("line", what, Checks.above0("line", what, lux, " lux"), 0, MOST_LUX, " lux");
        }
    }

    /** In the crew's words: stops where the camera's exposure is known, and the light. */
    public Phrase say(@Nullable Exposure camera) {
        List<String> metric = new ArrayList<>();
        List<String> imperial = new ArrayList<>();
        say(metric, imperial, "", lux, camera);
        if (kelvin != null) {
            metric.add(white(kelvin, duv));
            imperial.add(white(kelvin, duv));
        }
        say(metric, imperial, "shadow ", shadowLux, camera);
        say(metric, imperial, "background ", backgroundLux, camera);
        List<String> both = new ArrayList<>(signals.say());
        if (turned == Turned.TO_LENS) {
            both.add("to the lens");
        }
        metric.addAll(both);
        imperial.addAll(both);
        for (PlaceReading place : places()) {
            String where = place.label() + " ";
            say(metric, imperial, where, place.lux(), camera);
            List<String> more = new ArrayList<>();
            if (place.kelvin() != null) {
                more.add((place.lux() == null ? where : "") + white(place.kelvin(), place.duv()));
            }
            if (place.percent() != null) {
                more.add("%s%s %%".formatted(where, Numbers.plain(place.percent())));
            }
            metric.addAll(more);
            imperial.addAll(more);
        }
        return new Phrase(String.join(", ", metric), String.join(", ", imperial));
    }

    private static String white(double kelvin, @Nullable Double duv) {
        return Kelvin.of(kelvin).print() + (duv == null ? "" : " " + Duv.print(duv));
    }

    private static void say(
            List<String> metric, List<String> imperial, String where, @Nullable Double lux, @Nullable Exposure camera) {
        if (lux != null) {
            Illuminance light = Illuminance.ofLux(lux);
            String stop = camera == null || camera.stop(light).number() < LEAST_NAMED
                    ? ""
                    : camera.stop(light).label() + ", ";
            metric.add(where + stop + light.printMetric());
            imperial.add(where + stop + light.printImperial());
        }
    }
}
