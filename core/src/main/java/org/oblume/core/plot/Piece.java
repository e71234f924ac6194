package org.oblume.core.plot;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

/**
 * The thing that is placed, as far as the plot needs to know it.
 *
 * @param what generic kind: {@code Bicolour LED spot 300 W}
 * @param unit the crew's own name for this very one, or null
 * @param widthM width of the emitter, of the flag, or of the camera's sensor, metres, 0 to 50
 * @param lowestKelvin lowest colour temperature it can be dialled to, or null when it has none to dial
 * @param highestKelvin highest; the same as the lowest for a lamp of fixed colour
 * @param watts from the mains at full, 0 or more; 0 for grip
 * @param mount what holds it up
 * @param heightM height of the flag, frame or board, metres, 0 to 50; null when it is as high as wide
 * @param lamp what is known of a light, or null: then its light cannot be predicted
 * @param surface what a bounce, a flag or a mirror sends back, or null
 * @param glasses whether a person wears glasses, or null for no
 */
public record Piece(
        String what,
        @Nullable String unit,
        double widthM,
        @Nullable Double lowestKelvin,
        @Nullable Double highestKelvin,
        double watts,
        Mount mount,
        @Nullable Double heightM,
        @Nullable Lamp lamp,
        @Nullable Surface surface,
        @Nullable Boolean glasses) {

    /** Stands as its kind until somebody says which it is. */
    public static final String KIND_NOT_SAID = "kind not said";

    private static final int LONGEST_NAME = 80;
    private static final double WIDEST_M = 50;
    private static final double NARROWEST_M = 0.01;
    private static final Pattern SIZE = Pattern.compile(" \\d+(?:\\.\\d+)?(?: × \\d+(?:\\.\\d+)?)? m$");
    private static final double MOST_WATTS = 100_000;

    public Piece {
        what = Checks.text("The kind of thing", what, LONGEST_NAME);
        unit = unit == null || unit.isBlank() ? null : Checks.text("The unit's name", unit, LONGEST_NAME);
        Checks.within("Width", widthM, 0, WIDEST_M, " m");
        if (heightM != null) {
            Checks.within("heightM", "The height of %s".formatted(what), heightM, 0, WIDEST_M, " m");
        }
        Checks.within("Power", watts, 0, MOST_WATTS, " W");
        if ((lowestKelvin == null) != (highestKelvin == null)) {
            throw new Refusal("%s needs both ends of its colour temperature range, or neither.".formatted(what));
        }
        if (lowestKelvin != null
                && highestKelvin != null
                && new Kelvin(lowestKelvin).value() > new Kelvin(highestKelvin).value()) {
            throw new Refusal("minKelvin", "%s has its colour temperature range the wrong way round.".formatted(what));
        }
    }

    /** A thing of which only size, colour and power are known. */
    public Piece(
            String what,
            @Nullable String unit,
            double widthM,
            @Nullable Double lowestKelvin,
            @Nullable Double highestKelvin,
            double watts,
            Mount mount) {
        this(what, unit, widthM, lowestKelvin, highestKelvin, watts, mount, null, null, null, null);
    }

    /** The same kind of thing as another unit, or as one without a name. */
    public Piece as(@Nullable String otherUnit) {
        return new Piece(
                what, otherUnit, widthM, lowestKelvin, highestKelvin, watts, mount, heightM, lamp, surface, glasses);
    }

    /**
     * The same kind of thing in another size, which its name says: {@code Flag 1.2 m} becomes {@code Flag 0.6 × 0.9 m}.
     *
     * @param wideM metres, above 0 to 50
     * @param highM metres, above 0 to 50
     */
    public Piece sized(double wideM, double highM) {
        Checks.within("widthM", "The width of %s".formatted(what), wideM, NARROWEST_M, WIDEST_M, " m");
        Checks.within("heightM", "The height of %s".formatted(what), highM, NARROWEST_M, WIDEST_M, " m");
        String sized = "%s %s × %s m".formatted(SIZE.matcher(what).replaceFirst(""), told(wideM), told(highM));
        return new Piece(
                sized,
                unit,
                wideM,
                lowestKelvin,
                highestKelvin,
                watts,
                mount,
                highM,
                lamp == null ? null : lamp.asHighAs(highM),
                surface,
                glasses);
    }

    /** To the whole centimetre. */
    private static String told(double metres) {
        return Format.number(Math.rint(metres * 100) / 100);
    }

    /** As a crew calls it, its tag first: {@code Heron 3, Bicolour LED spot 150 W}. */
    public String called() {
        return unit == null ? what : "%s, %s".formatted(unit, what);
    }

    /** Whether it is a person who wears glasses. */
    public boolean wearsGlasses() {
        return Boolean.TRUE.equals(glasses);
    }

    /** Height of a flag, frame or board, metres; as high as wide unless it is said. */
    public double tallM() {
        return heightM == null ? widthM : heightM;
    }
}
