package org.oblume.core.metering;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.exposure.Exposure;
import org.oblume.core.light.Turned;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.say.SpokenFigures;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.TStop;

/**
 * Reads what is called out at the meter: {@code key alone T4 1/3, 4300 K +0.002} or {@code T2.8, lit 54, shadow 12, background 20 %}. A
 * light alone is read towards it, or {@code to the lens}. A place that is named (lit, shadow, background, window, hottest) holds until the next comma; without one it is the lit cheek. Figures may be spoken: <em>lit fifty four</em>.
 */
public final class ReadingLine {

    private static final Pattern WORD = Pattern.compile(
            "(?i)\\b(?<where>back ?left|left back|back ?right|right back|tothekey|own\\d+|lit|face|cheek|shadow|dark|background|bg|window|hottest|hot|alone|only|solo|all|lights|side|at|from|the|and)\\b");
    private static final Pattern VALUE = Pattern.compile(
            "(?i)(?<cc>cc ?\\d+(?:[.,]\\d+)? ?(?:green|magenta)?|\\d+(?:[.,]\\d+)? ?cc(?: ?(?:green|magenta))?)"
                    + "|(?<stop>[tf]/? ?\\d+(?:[.,]\\d+)?(?: ?[+-] ?\\d/\\d| \\d/\\d| (?:minus|plus))?)"
                    + "|(?<light>\\d+(?:[.,]\\d+)? ?(?:lux|lx|fc|foot-?candles?))|(?<kelvin>\\d{4,5} ?k?\\b)"
                    + "|(?<duv>(?:duv ?)?[+-] ?0?[.,]\\d+(?: ?(?:green|magenta))?|(?:duv ?)?0[.,]0\\d*(?: ?(?:green|magenta))?)|(?<percent>-?\\d+(?:[.,]\\d+)? ?(?:%|ire)?)");

    /** All lights, the meter turned to the key; not <em>key alone</em>. */
    private static final Pattern TO_KEY = Pattern.compile("(?i)\\b(?:turned )?(?:to|towards?) (?:the )?key\\b");

    private static final Pattern ALONE = Pattern.compile("(?i)\\b(?:alone|only|solo)\\b");

    /** A place of the crew's own: {@code on the papers T2}, {@code on the back wall 20 %}. */
    private static final Pattern OWN_PLACE =
            Pattern.compile("(?i)\\bon (?:the )?(?<name>\\p{L}[\\p{L}' -]*?) (?=[tf]/? ?\\d|-?\\d)");

    private static final Pattern TO_LENS =
            Pattern.compile("(?i)\\b(?:(?:turned )?(?:to|at|towards?) )(?:the )?(?:lens|camera)\\b");

    /** Places of the monitor that a reading has columns for. */
    private static final Set<String> ON_THE_MONITOR = Set.of("lit", "shadow", "background", "window", "hottest");

    private static final String OWN = "own";

    private ReadingLine() {}

    /**
     * @param placements of the scene; those that stand can be named
     * @param mark key of the mark that is meant when none is named
     * @param camera by which a stop is turned into light, or null
     * @throws Refusal with what is not understood and what to type
     */
    public static Reading parse(
            String line, List<Placement> placements, RecordedState state, String mark, @Nullable Exposure camera) {
        return new Reader(placements, state, mark, camera).read(line);
    }

    private static final class Reader {

        private final List<Placement> placements;
        private final RecordedState state;
        private final @Nullable Exposure camera;
        private final Map<String, Double> light = new LinkedHashMap<>();
        private final Map<String, Double> signal = new LinkedHashMap<>();
        private final Map<String, Double> kelvins = new LinkedHashMap<>();
        private final Map<String, Double> duvs = new LinkedHashMap<>();
        private final List<String> own = new ArrayList<>();
        private String mark;
        private @Nullable String alone;
        private @Nullable Turned turned;

        Reader(List<Placement> placements, RecordedState state, String mark, @Nullable Exposure camera) {
            this.placements =
                    placements.stream().filter(p -> state.isOnSet(p.key())).toList();
            this.state = state;
            this.mark = mark;
            this.camera = camera;
        }

        Reading read(String line) {
            String tidy = line.replace('−', '-')
                    .replace("⅓", " 1/3")
                    .replace("⅔", " 2/3")
                    .replace("½", " 1/2")
                    .replaceAll("[\\s\\u00a0]+", " ")
                    .strip();
            Matcher toLens = TO_LENS.matcher(tidy);
            if (toLens.find()) {
                turned = Turned.TO_LENS;
                tidy = toLens.replaceAll(" ").strip();
            }
            if (!ALONE.matcher(tidy).find()) {
                tidy = TO_KEY.matcher(tidy).replaceAll("tothekey");
            }
            tidy = OWN_PLACE.matcher(tidy).replaceAll(this::own);
            for (String clause : SpokenFigures.written(named(tidy)).split("[;]|,(?!\\d)")) {
                clause(clause.strip(), line);
            }
            return new Reading(
                    mark,
                    alone,
                    light.get("lit"),
                    light.get("shadow"),
                    light.get("background"),
                    kelvins.get("lit"),
                    duvs.get("lit"),
                    new Signals(
                            signal.get("lit"),
                            signal.get("shadow"),
                            signal.get("background"),
                            signal.get("window"),
                            signal.get("hottest")),
                    turned,
                    null,
                    places());
        }

        /** The name of a mark stays: it says where, not at what. */
        private String own(MatchResult found) {
            String name = found.group(1);
            if (placements.stream()
                    .anyMatch(p -> p.kind() == PlacementKind.MARK && p.name().equalsIgnoreCase(name))) {
                return Matcher.quoteReplacement(found.group());
            }
            own.add(name);
            return "%s%d ".formatted(OWN, own.size() - 1);
        }

        private List<PlaceReading> places() {
            return Stream.of(light, kelvins, duvs, signal)
                    .flatMap(m -> m.keySet().stream())
                    .distinct()
                    .filter(where -> !where.equals("lit"))
                    .map(this::besides)
                    .flatMap(Optional::stream)
                    .toList();
        }

        /** What the reading has no column of its own for. */
        private Optional<PlaceReading> besides(String where) {
            boolean own = where.startsWith(OWN);
            Double lux = "shadow".equals(where) || "background".equals(where) ? null : light.get(where);
            Double percent = own ? signal.get(where) : null;
            Double kelvin = kelvins.get(where);
            if (kelvin == null && duvs.containsKey(where)) {
                throw Reading.tintAlone();
            }
            if (lux == null && percent == null && kelvin == null) {
                if (!own && signal.containsKey(where) && !ON_THE_MONITOR.contains(where)) {
                    throw new Refusal(
                            "line",
                            "The monitor has no %s: say on the … for a place of your own.".formatted(words(where)));
                }
                return Optional.empty();
            }
            boolean named = own || "window".equals(where) || "hottest".equals(where);
            return Optional.of(new PlaceReading(
                    named ? MeterPlace.OWN : MeterPlace.valueOf(where.toUpperCase(Locale.ROOT)),
                    named ? words(where) : null,
                    lux,
                    kelvin,
                    duvs.get(where),
                    percent));
        }

        /** A place in words. */
        private String words(String where) {
            return where.startsWith(OWN)
                    ? own.get(Integer.parseInt(where.substring(OWN.length())))
                    : where.equals("lit") ? "lit cheek" : where.replace('_', ' ');
        }

        /** Takes out the names of the light and of the mark, longest first. */
        private String named(String line) {
            String rest = line;
            for (Placement placement : placements.stream()
                    .sorted(Comparator.comparingInt((Placement p) -> -p.name().length()))
                    .toList()) {
                for (String name : placement.piece().unit() == null
                        ? List.of(placement.name())
                        : List.of(placement.name(), placement.piece().unit())) {
                    Pattern called = Pattern.compile("(?i)(?<![\\w-])" + Pattern.quote(name) + "(?![\\w-])");
                    if (called.matcher(rest).find()) {
                        rest = called.matcher(rest).replaceFirst(" ");
                        take(placement);
                    }
                }
            }
            return rest;
        }

        private void take(Placement placement) {
            if (placement.kind() == PlacementKind.MARK) {
                mark = placement.key();
            } else if (!placement.kind().shines()) {
                throw new Refusal(
                        "line",
                        "%s gives no light of its own: name a light, or leave it out for all of them."
                                .formatted(placement.name()));
            } else if (alone != null && !alone.equals(placement.key())) {
                throw new Refusal(
                        "line", "Two lights are named: read one alone, or leave the names out for all of them.");
            } else {
                alone = placement.key();
            }
        }

        private void clause(String clause, String line) {
            String where = "lit";
            boolean signalled = false;
            String rest = clause;
            while (!rest.isBlank()) {
                rest = rest.strip();
                Matcher word = WORD.matcher(rest);
                Matcher value = VALUE.matcher(rest);
                if (word.lookingAt()) {
                    String said = word.group("where").toLowerCase(Locale.ROOT);
                    if ("all".equals(said)) {
                        alone = null;
                    }
                    String place = place(said);
                    where = place == null ? where : place;
                    signalled |= place != null;
                    rest = rest.substring(word.end());
                } else if (value.lookingAt()) {
                    value(value, where, signalled, line);
                    rest = rest.substring(value.end());
                } else {
                    throw notUnderstood(rest, line);
                }
            }
        }

        private static @Nullable String place(String said) {
            return switch (said) {
                case "lit", "face", "cheek" -> "lit";
                case "shadow", "dark" -> "shadow";
                case "background", "bg" -> "background";
                case "window" -> "window";
                case "hottest", "hot" -> "hottest";
                case "back left", "backleft", "left back" -> "back_left";
                case "back right", "backright", "right back" -> "back_right";
                case "tothekey" -> "key";
                default -> said.startsWith(OWN) ? said : null;
            };
        }

        private void value(Matcher value, String where, boolean signalled, String line) {
            if (value.group("stop") != null) {
                if (camera == null) {
                    throw new Refusal(
                            "line",
                            "A stop says how much light it is only with the camera’s ISO and shutter: record them, or give lux or fc.");
                }
                put(
                        light,
                        where,
                        camera.required(TStop.parse(value.group("stop"))).lux(),
                        line);
            } else if (value.group("light") != null) {
                put(light, where, Illuminance.parse(value.group("light")).lux(), line);
            } else if (value.group("kelvin") != null) {
                put(kelvins, where, Kelvin.parse(value.group("kelvin")).value(), line);
            } else if (value.group("cc") != null) {
                put(duvs, where, Duv.parse(value.group("cc")).value(), line);
            } else if (value.group("duv") != null) {
                put(
                        duvs,
                        where,
                        Duv.parse(value.group("duv")
                                        .replaceFirst("(?i)^duv ?", "")
                                        .replaceFirst("(?<=[+-]) ", ""))
                                .value(),
                        line);
            } else {
                String figure = value.group("percent");
                if (!signalled && !figure.matches("(?i).*(%|ire)$")) {
                    throw new Refusal(
                            "line",
                            "“%s” could be a stop, a light or a signal: type T%s, %s lux, or lit %s for the monitor."
                                    .formatted(figure.strip(), figure.strip(), figure.strip(), figure.strip()));
                }
                put(
                        signal,
                        where,
                        Double.parseDouble(
                                figure.replaceFirst("(?i) ?(%|ire)$", "").replace(',', '.')),
                        line);
            }
        }

        private void put(Map<String, Double> into, String where, double figure, String line) {
            if (into.put(where, figure) != null) {
                throw new Refusal(
                        "line", "“%s” gives two readings for the %s: keep one.".formatted(line.strip(), words(where)));
            }
        }

        private Refusal notUnderstood(String rest, String line) {
            String lights = placements.stream()
                    .filter(p -> p.kind().shines() && state.isOnSet(p.key()))
                    .map(Placement::name)
                    .limit(3)
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("none stand");
            return new Refusal(
                    "line",
                    "“%s” is not understood in “%s”: say the light (%s) or nothing for all, then readings such as T2.8 1/3, 450 lux, 4300 K +0.002, lit 54; shadow, background, back left, back right, to the key or on the papers for another place; “to the lens” when the meter is not turned to the light."
                            .formatted(rest, line.strip(), lights));
        }
    }
}
