package org.oblume.core.plot;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * What is set in a light's own menu and spoils a match when it is reset. Null: not recorded.
 *
 * @param curve how its output follows its level
 * @param smoothing whether it glides from level to level
 * @param fan how loud it may be
 * @param output whether it keeps one output or gives the most it can
 * @param frequencyHz of its own flicker, 1 to 200000
 * @param onLoss what it does when the signal is lost
 * @param display whether its display is lit
 * @param channel of its wireless link, 1 to 999
 */
public record Menu(
        @Nullable LevelCurve curve,
        @Nullable Boolean smoothing,
        @Nullable Fan fan,
        @Nullable Output output,
        @Nullable Double frequencyHz,
        @Nullable OnLoss onLoss,
        @Nullable Boolean display,
        @Nullable Integer channel)
        implements AttributeValue {

    public static final Menu NOTHING = new Menu(null, null, null, null, null, null, null, null);
    private static final double FASTEST_HZ = 200_000;
    private static final int LAST_CHANNEL = 999;
    private static final Pattern FREQUENCY = Pattern.compile("(?:frequency )?(\\d+(?:\\.\\d+)?) ?(k)?hz");

    public enum Fan {
        OFF,
        LOW,
        AUTO,
        HIGH
    }

    public enum Output {
        CONSTANT,
        MOST
    }

    public enum OnLoss {
        HOLD,
        BLACK
    }

    public Menu {
        if (frequencyHz != null) {
            Checks.within("frequencyHz", "The frequency", frequencyHz, 1, FASTEST_HZ, " Hz");
        }
        if (channel != null) {
            Checks.within("channel", "The wireless channel", channel, 1, LAST_CHANNEL, "");
        }
    }

    /** Reads {@code curve square, smoothing off, fan low, output constant, 1200 Hz, hold, display off, channel 5}, any of it in any order. */
    public static Menu parse(String text) {
        Menu menu = NOTHING;
        for (String part : text.strip().toLowerCase(Locale.ROOT).split("\\s*[,;]\\s*")) {
            menu = part.isEmpty() || part.equals("none") ? menu : menu.with(part, text);
        }
        return menu;
    }

    private Menu with(String part, String text) {
        Matcher frequency = FREQUENCY.matcher(part);
        if (frequency.matches()) {
            double hz = Double.parseDouble(frequency.group(1)) * (frequency.group(2) == null ? 1 : 1000);
            return new Menu(curve, smoothing, fan, output, hz, onLoss, display, channel);
        }
        String[] words = part.split(" ", 2);
        String value = words.length == 1 ? "" : words[1].strip();
        try {
            return switch (words[0]) {
                case "curve" ->
                    new Menu(
                            LevelCurve.valueOf(constant(value)),
                            smoothing,
                            fan,
                            output,
                            frequencyHz,
                            onLoss,
                            display,
                            channel);
                case "smoothing" -> new Menu(curve, onOff(value), fan, output, frequencyHz, onLoss, display, channel);
                case "fan" ->
                    new Menu(
                            curve,
                            smoothing,
                            Fan.valueOf(constant(value)),
                            output,
                            frequencyHz,
                            onLoss,
                            display,
                            channel);
                case "output" ->
                    new Menu(
                            curve,
                            smoothing,
                            fan,
                            Output.valueOf(constant(value)),
                            frequencyHz,
                            onLoss,
                            display,
                            channel);
                case "hold", "black" ->
                    new Menu(
                            curve,
                            smoothing,
                            fan,
                            output,
                            frequencyHz,
                            OnLoss.valueOf(constant(words[0])),
                            display,
                            channel);
                case "display" -> new Menu(curve, smoothing, fan, output, frequencyHz, onLoss, onOff(value), channel);
                case "channel" ->
                    new Menu(curve, smoothing, fan, output, frequencyHz, onLoss, display, Integer.valueOf(value));
                default -> throw notRead(part, text);
            };
        } catch (Refusal refusal) {
            throw refusal;
        } catch (IllegalArgumentException notOneOfThem) {
            throw notRead(part, text);
        }
    }

    private static Refusal notRead(String part, String text) {
        return new Refusal(
                "“%s” in “%s” is not a menu setting: type curve square, smoothing off, fan low, output constant, 1200 Hz, hold, display off, channel 5."
                        .formatted(part, text));
    }

    private static String constant(String word) {
        return word.toUpperCase(Locale.ROOT).replace('-', '_').replace(' ', '_');
    }

    private static boolean onOff(String word) {
        if (!word.equals("on") && !word.equals("off")) {
            throw new IllegalArgumentException(word);
        }
        return word.equals("on");
    }

    /** The settings that are recorded, a phrase each: {@code curve square}. */
    public List<String> phrases() {
        List<String> said = new ArrayList<>();
        add(said, "curve ", curve);
        add(said, "smoothing ", onOff(smoothing));
        add(said, "fan ", fan);
        add(said, "output ", output);
        if (frequencyHz != null) {
            said.add(Format.number(frequencyHz) + " Hz");
        }
        add(said, "", onLoss);
        add(said, "display ", onOff(display));
        add(said, "channel ", channel);
        return said;
    }

    private static @Nullable String onOff(@Nullable Boolean on) {
        return on == null ? null : on ? "on" : "off";
    }

    private static void add(List<String> said, String name, @Nullable Object value) {
        if (value != null) {
            said.add(name + Objects.toString(value).toLowerCase(Locale.ROOT).replace('_', '-'));
        }
    }

    @Override
    public String say() {
        List<String> phrases = phrases();
        return phrases.isEmpty() ? "none" : String.join(", ", phrases);
    }
}
