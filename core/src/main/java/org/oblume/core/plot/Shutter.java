package org.oblume.core.plot;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * The camera's frame rate and shutter angle; the exposure time is {@code angle / 360 / fps}.
 *
 * @param fps frames a second, 0.01 to 10000
 * @param angleDeg above 0 to 360
 */
public record Shutter(double fps, double angleDeg) implements AttributeValue {

    private static final double FULL_CIRCLE = 360;
    private static final double DEFAULT_FPS = 24;
    private static final Pattern TIME = Pattern.compile("1 ?/ ?(\\d+(?:\\.\\d+)?)(?: ?s)?(?: at (\\d+(?:\\.\\d+)?))?");
    private static final Pattern ANGLE = Pattern.compile("(\\d+(?:\\.\\d+)?) ?(?:°|deg)(?: at (\\d+(?:\\.\\d+)?))?");

    public Shutter {
        Checks.within("Frame rate", fps, 0.01, 10_000, " fps");
        Checks.within("Shutter angle", angleDeg, 0.1, FULL_CIRCLE, "°");
    }

    /** Reads {@code 1/48}, {@code 1/50 at 25}, {@code 180°}, {@code 172.8° at 24}; 24 frames a second unless said. */
    public static Shutter parse(String text) {
        String tidy = text.strip().toLowerCase(java.util.Locale.ROOT);
        Matcher time = TIME.matcher(tidy);
        if (time.matches()) {
            double fps = time.group(2) == null ? DEFAULT_FPS : Double.parseDouble(time.group(2));
            return new Shutter(fps, FULL_CIRCLE * fps / Double.parseDouble(time.group(1)));
        }
        Matcher angle = ANGLE.matcher(tidy);
        if (angle.matches()) {
            double fps = angle.group(2) == null ? DEFAULT_FPS : Double.parseDouble(angle.group(2));
            return new Shutter(fps, Double.parseDouble(angle.group(1)));
        }
        throw new Refusal("“%s” is not a shutter: type 1/48, or an angle such as 180° at 24.".formatted(text));
    }

    /** Exposure time in seconds. */
    public double seconds() {
        return angleDeg / FULL_CIRCLE / fps;
    }

    @Override
    public String say() {
        return "1/%s s".formatted(Format.number(Math.round(10 / seconds()) / 10.0));
    }
}
