package org.oblume.core.say;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.units.Length;

/** Numbers, parts and units as they are written or spoken: {@code 2 1/2}, <em>forty three fifty</em>, <em>a stop and a half</em>. */
final class Figures {

    private static final List<String> UNITS = List.of(
            "zero",
            "one",
            "two",
            "three",
            "four",
            "five",
            "six",
            "seven",
            "eight",
            "nine",
            "ten",
            "eleven",
            "twelve",
            "thirteen",
            "fourteen",
            "fifteen",
            "sixteen",
            "seventeen",
            "eighteen",
            "nineteen");
    private static final List<String> ONES = UNITS.subList(1, 10);
    private static final List<String> TENS =
            List.of("twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety");
    private static final Map<String, Double> PARTS = Map.ofEntries(
            Map.entry("half", 0.5),
            Map.entry("third", 1 / 3.0),
            Map.entry("thirds", 1 / 3.0),
            Map.entry("quarter", 0.25),
            Map.entry("quarters", 0.25),
            Map.entry("eighth", 0.125),
            Map.entry("tenth", 0.1),
            Map.entry("tenths", 0.1));
    private static final Map<String, Double> SIGNS =
            Map.of("½", 0.5, "¼", 0.25, "¾", 0.75, "⅓", 1 / 3.0, "⅔", 2 / 3.0, "⅛", 0.125);
    private static final Map<String, Double> LENGTHS = Map.ofEntries(
            Map.entry("m", 1.0),
            Map.entry("metre", 1.0),
            Map.entry("metres", 1.0),
            Map.entry("meter", 1.0),
            Map.entry("meters", 1.0),
            Map.entry("cm", 0.01),
            Map.entry("centimetre", 0.01),
            Map.entry("centimetres", 0.01),
            Map.entry("mm", 0.001),
            Map.entry("millimetre", 0.001),
            Map.entry("millimetres", 0.001),
            Map.entry("ft", Length.METRES_PER_FOOT),
            Map.entry("foot", Length.METRES_PER_FOOT),
            Map.entry("feet", Length.METRES_PER_FOOT),
            Map.entry("'", Length.METRES_PER_FOOT),
            Map.entry("inch", Length.METRES_PER_FOOT / 12),
            Map.entry("inches", Length.METRES_PER_FOOT / 12),
            Map.entry("\"", Length.METRES_PER_FOOT / 12));
    private static final Set<String> STOPS = Set.of("stop", "stops");
    private static final Set<String> PERCENT = Set.of("%", "percent", "per");
    private static final Set<String> DEGREES = Set.of("°", "degree", "degrees", "deg");
    private static final Set<String> KELVIN = Set.of("k", "kelvin");
    private static final Set<String> MIRED = Set.of("mired", "mireds");
    private static final Set<String> OTHER_UNITS =
            Set.of("hz", "hertz", "second", "seconds", "s", "w", "kw", "watt", "watts", "mil", "bit", "fps");

    private static final Set<String> BEGINS = begins();

    private static Set<String> begins() {
        Set<String> all = new HashSet<>(UNITS);
        all.addAll(TENS);
        all.addAll(PARTS.keySet());
        all.addAll(SIGNS.keySet());
        all.addAll(Set.of("a", "an", "couple", "hundred", "point", "oh", "nought", "slightly", "way", "much"));
        return Set.copyOf(all);
    }

    private static final double MOST_WHOLE = 1e9;

    /** A number from here on is not said with a part behind it: <em>30 and a half CTO</em>. */
    private static final double LAST_WITH_A_PART = 20;

    /** Every word of a figure or a unit, for telling a misspelt name from what means something. */
    static final Set<String> VOCABULARY = vocabulary();

    private Figures() {}

    private static Set<String> vocabulary() {
        Set<String> all = new HashSet<>(UNITS);
        all.addAll(TENS);
        all.addAll(PARTS.keySet());
        all.addAll(LENGTHS.keySet());
        all.addAll(STOPS);
        all.addAll(PERCENT);
        all.addAll(DEGREES);
        all.addAll(KELVIN);
        all.addAll(MIRED);
        all.addAll(OTHER_UNITS);
        all.addAll(Set.of(
                "hundred",
                "thousand",
                "point",
                "oh",
                "nought",
                "couple",
                "touch",
                "bit",
                "little",
                "slightly",
                "hair",
                "tad",
                "whisker",
                "way",
                "lot",
                "much",
                "in"));
        return Set.copyOf(all);
    }

    /** A number with no unit of its own. */
    record Counted(double value, boolean part) {}

    /** Takes an amount with its unit. */
    static Optional<Amount> amount(Words words) {
        if (!canBegin(words.peek())) {
            return Optional.empty();
        }
        int start = words.at();
        if (words.takeAny("a touch", "a little bit", "a bit", "a little", "slightly")) {
            return Optional.of(new Amount(Amount.Unit.TOUCH, 0, true));
        }
        if (words.takeAny("a hair", "a tad", "a whisker")) {
            return Optional.of(new Amount(Amount.Unit.HAIR, 0, true));
        }
        if (words.takeAny("a lot", "way", "much")) {
            return Optional.of(new Amount(Amount.Unit.LOTS, 0, true));
        }
        boolean article = words.take("a", "an");
        if (article && isUnit(words)) {
            return Optional.of(withUnit(words, new Counted(1, false)));
        }
        if (article) {
            words.back(start);
        }
        Optional<Counted> number = number(words);
        return number.map(n -> withUnit(words, n));
    }

    private static boolean isUnit(Words words) {
        return words.isNext(STOPS) || words.isNext(LENGTHS.keySet()) || words.isNext(MIRED);
    }

    private static Amount withUnit(Words words, Counted number) {
        int before = words.at();
        words.take("of");
        words.take("a", "an");
        if (words.isNext(STOPS)) {
            words.skip(1);
            double more = andAPart(words).orElse(0.0);
            return new Amount(Amount.Unit.STOPS, number.value + more, number.part || more > 0);
        }
        if (words.isNext(LENGTHS.keySet()) || (words.peek().equals("in") && isInches(words))) {
            return length(words, number);
        }
        if (words.isNext(PERCENT)) {
            if (words.take().text().equals("per")) {
                words.take("cent");
            }
            return new Amount(Amount.Unit.PERCENT, number.value, number.part);
        }
        if (words.isNext(DEGREES)) {
            words.skip(1);
            return new Amount(Amount.Unit.DEGREES, number.value, number.part);
        }
        if (words.isNext(MIRED)) {
            words.skip(1);
            return new Amount(Amount.Unit.MIRED, number.value, number.part);
        }
        if (words.peek().equals("k") && number.value < 100) {
            words.skip(1);
            return new Amount(Amount.Unit.KELVIN, number.value * 1000, number.part);
        }
        if (words.isNext(KELVIN)) {
            words.skip(1);
            return new Amount(Amount.Unit.KELVIN, number.value, number.part);
        }
        words.back(before);
        return new Amount(Amount.Unit.BARE, number.value, number.part);
    }

    /** {@code in} is a unit behind a figure when it is not a way to go: {@code 6 in}, not <em>half a metre in</em>. */
    private static boolean isInches(Words words) {
        return words.at() > 0 && words.all().get(words.at() - 1).text().matches("\\d.*");
    }

    private static Amount length(Words words, Counted number) {
        String unit = words.take().text();
        double each = LENGTHS.getOrDefault(unit, Length.METRES_PER_FOOT / 12);
        double metres = number.value * each;
        int here = words.at();
        boolean foot = each == Length.METRES_PER_FOOT;
        boolean metre = each == 1 && !unit.equals("m");
        double more = metre ? andAPart(words).orElse(0.0) : 0;
        if (more > 0) {
            return new Amount(Amount.Unit.METRES, metres + more, true);
        }
        Optional<Counted> rest = foot || metre ? number(words) : Optional.empty();
        if (rest.isPresent()) {
            double next = rest.get().value;
            boolean inches = foot && next < 12;
            boolean named = words.isNext(Set.of("inch", "inches", "\"", "in"));
            boolean another = !named
                    && (isUnit(words)
                            || words.isNext(PERCENT)
                            || words.isNext(DEGREES)
                            || words.isNext(KELVIN)
                            || words.isNext(OTHER_UNITS));
            if (inches && !another) {
                if (named) {
                    words.skip(1);
                }
                return new Amount(Amount.Unit.METRES, metres + next * Length.METRES_PER_FOOT / 12, false);
            }
            if (metre && !named && !another && next >= 10 && next < 100 && !rest.get().part) {
                return new Amount(Amount.Unit.METRES, metres + next / 100, false);
            }
        }
        words.back(here);
        return new Amount(Amount.Unit.METRES, metres, number.part);
    }

    /** <em>And a half</em>, <em>and two thirds</em>, behind a number or its unit. */
    private static Optional<Double> andAPart(Words words) {
        int start = words.at();
        if (words.take("and")) {
            boolean one = words.take("a");
            int many = one ? 1 : small(words);
            Optional<Double> part = many < 1 ? Optional.empty() : words.takeKnown(PARTS);
            if (part.isPresent()) {
                return part.map(p -> many * p);
            }
        }
        words.back(start);
        return Optional.empty();
    }

    /** Whether a number or an amount can begin with a word. */
    static boolean canBegin(String word) {
        return !word.isEmpty() && (Character.isDigit(word.charAt(0)) || word.charAt(0) == '.' || BEGINS.contains(word));
    }

    /** Takes a number. */
    static Optional<Counted> number(Words words) {
        if (!canBegin(words.peek())) {
            return Optional.empty();
        }
        int start = words.at();
        words.take("a", "an");
        if (words.take("couple")) {
            words.take("of");
            return Optional.of(new Counted(2, false));
        }
        Optional<Double> part = words.takeKnown(SIGNS).or(() -> words.takeKnown(PARTS));
        if (part.isPresent()) {
            return part.map(p -> new Counted(p, true));
        }
        if (words.peek().equals("hundred")) {
            return spoken(words);
        }
        words.back(start);
        String text = words.peek();
        if (text.matches("\\d+/\\d+")) {
            words.skip(1);
            return Optional.of(new Counted(ratio(text), true));
        }
        if (text.matches("\\.?\\d+(?:[.,]\\d+)?")) {
            words.skip(1);
            return Optional.of(behind(words, Double.parseDouble(text.replace(',', '.')), text.matches(".*[.,].*")));
        }
        return spoken(words);
    }

    private static double ratio(String text) {
        String[] two = text.split("/");
        return Double.parseDouble(two[0]) / Math.max(1, Double.parseDouble(two[1]));
    }

    /** What comes behind whole digits: {@code 2 1/2}, {@code 2½}, <em>2 and a half</em>, <em>2 thirds</em>, {@code 3.2k}. */
    private static Counted behind(Words words, double value, boolean part) {
        if (words.peek().matches("\\d/\\d") && !part) {
            return new Counted(value + ratio(words.take().text()), true);
        }
        Optional<Double> sign = words.takeKnown(SIGNS);
        if (sign.isPresent()) {
            return new Counted(value + sign.get(), true);
        }
        if (words.peek().matches("thirds|quarters|tenths")
                || (value == 1 && words.peek().matches("third|quarter|half|eighth|tenth"))) {
            return new Counted(value * words.takeKnown(PARTS).orElse(1.0), true);
        }
        Optional<Double> more = value < LAST_WITH_A_PART ? andAPart(words) : Optional.empty();
        return new Counted(value + more.orElse(0.0), part || more.isPresent());
    }

    private static Optional<Counted> spoken(Words words) {
        int start = words.at();
        if (words.peek().equals("point")
                || (words.peek().matches("oh|nought|zero") && words.peek(1).equals("point"))) {
            words.pass("oh", "nought", "zero");
            return decimals(words).map(d -> new Counted(d, true)).or(() -> {
                words.back(start);
                return Optional.empty();
            });
        }
        if (words.peek().equals("zero") || words.peek().equals("nought")) {
            words.skip(1);
            return Optional.of(new Counted(0, false));
        }
        int whole = words.peek().equals("hundred") ? 1 : small(words);
        if (whole < 0) {
            words.back(start);
            return Optional.empty();
        }
        double value = whole;
        boolean round = false;
        if (words.take("thousand")) {
            value = 1000.0 * whole;
            round = true;
            int here = words.at();
            words.take("and");
            int more = small(words);
            if (more >= 0) {
                value += words.take("hundred") ? 100 * more : more;
            } else {
                words.back(here);
            }
        } else if (words.take("hundred")) {
            value = 100.0 * whole;
            round = true;
        } else if (whole < 10 && words.peek().equals("oh") && ONES.contains(words.peek(1))) {
            words.skip(1);
            value = 100.0 * whole + small(words);
        } else if (whole >= 10) {
            int here = words.at();
            int pair = small(words);
            if (pair >= 10 && !words.peek().equals("hundred") && !words.peek().equals("thousand")) {
                value = 100.0 * whole + pair;
            } else {
                words.back(here);
            }
        }
        if (round) {
            int here = words.at();
            boolean and = words.take("and");
            int more = small(words);
            if (more > 0 && (and || more < 100) && !words.isNext(PARTS.keySet())) {
                value += more;
            } else {
                words.back(here);
            }
        }
        Optional<Double> decimals = words.peek().equals("point") ? decimals(words) : Optional.empty();
        if (decimals.isPresent()) {
            return Optional.of(new Counted(value + decimals.get(), true));
        }
        return Optional.of(behind(words, value, false));
    }

    /** <em>Point oh oh three</em>. */
    private static Optional<Double> decimals(Words words) {
        int start = words.at();
        words.take("point");
        StringBuilder digits = new StringBuilder("0.");
        while (true) {
            String word = words.peek();
            int digit = word.equals("oh") || word.equals("nought") ? 0 : UNITS.indexOf(word);
            if (digit >= 0 && digit < 10) {
                digits.append(digit);
                words.skip(1);
            } else if (word.matches("\\d+") && digits.length() == 2) {
                digits.append(word);
                words.skip(1);
            } else {
                break;
            }
        }
        if (digits.length() == 2) {
            words.back(start);
            return Optional.empty();
        }
        return Optional.of(Double.parseDouble(digits.toString()));
    }

    /** A spoken number from 1 to 99; −1 when there is none. */
    private static int small(Words words) {
        int ten = TENS.indexOf(words.peek());
        if (ten >= 0) {
            words.skip(1);
            int one = UNITS.indexOf(words.peek());
            if (one > 0 && one < 10) {
                words.skip(1);
                return 20 + 10 * ten + one;
            }
            return 20 + 10 * ten;
        }
        int unit = UNITS.indexOf(words.peek());
        if (unit > 0) {
            words.skip(1);
        }
        return unit > 0 ? unit : -1;
    }

    /** A whole number, no more than a billion; nothing taken when it is none. */
    static Optional<Integer> whole(Words words) {
        int start = words.at();
        Optional<Integer> whole = words.peek().matches("a|an|half|third|quarter")
                ? Optional.empty()
                : number(words)
                        .filter(n -> !n.part && n.value == Math.rint(n.value) && n.value < MOST_WHOLE)
                        .map(n -> (int) n.value);
        if (whole.isEmpty()) {
            words.back(start);
        }
        return whole;
    }

    /** A length in metres, or nothing taken. */
    static Optional<Double> length(Words words) {
        return amount(words, Amount.Unit.METRES).map(Amount::value);
    }

    /** An amount of one unit, or nothing taken. */
    static Optional<Amount> amount(Words words, Amount.Unit unit) {
        int start = words.at();
        Optional<Amount> found = amount(words).filter(a -> a.is(unit));
        if (found.isEmpty()) {
            words.back(start);
        }
        return found;
    }
}
