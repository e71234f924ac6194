package org.oblume.core.plot;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * Which way a placement points: at a mark, which it follows when either moves, or along a bearing and a tilt.
 *
 * @param mark key of the mark aimed at, or null
 * @param heightM height aimed at above the floor datum in metres, with a mark only
 * @param bearingDeg bearing in degrees, without a mark only
 * @param tiltDeg tilt in degrees, −90 to 90, down is negative, without a mark only
 */
public record AimSetting(
        @Nullable String mark, @Nullable Double heightM, @Nullable Double bearingDeg, @Nullable Double tiltDeg)
        implements AttributeValue {

    private static final double STRAIGHT_UP_DEG = 90;

    public AimSetting {
        if (mark != null && heightM != null && bearingDeg == null && tiltDeg == null) {
            Height.check(heightM);
        } else if (mark == null && heightM == null && bearingDeg != null && tiltDeg != null) {
            bearingDeg = Bearing.ofDegrees(bearingDeg).degrees();
            Checks.within("Tilt", tiltDeg, -STRAIGHT_UP_DEG, STRAIGHT_UP_DEG, "°");
        } else {
            throw new Refusal("An aim is either a mark with a height, or a bearing with a tilt.");
        }
    }

    public static AimSetting atMark(String mark, double heightM) {
        return new AimSetting(mark, heightM, null, null);
    }

    public static AimSetting along(double bearingDeg, double tiltDeg) {
        return new AimSetting(null, null, bearingDeg, tiltDeg);
    }

    /** Reads a bearing and a tilt: {@code 220 down 20}, {@code 220, −20}, {@code 220 up 5}, {@code 220} (level). */
    public static AimSetting parse(String text) {
        String[] parts = text.strip()
                .toLowerCase(Locale.ROOT)
                .replace("down", ", -")
                .replace("up", ", ")
                .replaceAll("- +", "-")
                .split("\\s*,\\s*|\\s+", 2);
        Bearing bearing = Bearing.parse(parts[0]);
        double tilt = 0;
        if (parts.length == 2) {
            try {
                tilt = Double.parseDouble(parts[1].replaceAll("[°,\\s]", "").replace('−', '-'));
            } catch (NumberFormatException notANumber) {
                throw new Refusal(
                        "“%s” is not an aim: type a bearing and a tilt, such as 220 down 20.".formatted(text));
            }
        }
        return along(bearing.degrees(), tilt);
    }

    @Override
    public String say() {
        if (mark != null && heightM != null) {
            return "at %s, %s up".formatted(mark, Length.ofMetres(heightM).printMetric());
        }
        double tilt = tiltDeg == null ? 0 : tiltDeg;
        String bearing = Bearing.ofDegrees(bearingDeg == null ? 0 : bearingDeg).print();
        return Math.round(tilt) == 0
                ? "%s, level".formatted(bearing)
                : "%s, %s %d°".formatted(bearing, tilt < 0 ? "down" : "up", Math.round(Math.abs(tilt)));
    }

    @Override
    public String sayImperial() {
        return mark == null || heightM == null
                ? say()
                : "at %s, %s up".formatted(mark, Length.ofMetres(heightM).printImperial());
    }

    /** Of a bearing; what is aimed at a mark is typed as the bearing that it has from where it stands. */
    @Override
    public Phrase typed() {
        if (bearingDeg == null || tiltDeg == null) {
            return phrase();
        }
        return Phrase.of("%d %s %d"
                .formatted(Math.round(bearingDeg), tiltDeg < 0 ? "down" : "up", Math.round(Math.abs(tiltDeg))));
    }
}
