package org.oblume.core.say;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.LensNd;
import org.oblume.core.plot.Shutter;
import org.oblume.core.plot.Speed;
import org.oblume.core.plot.Stop;
import org.oblume.core.plot.White;
import org.oblume.core.units.Refusal;

/** What is set at a camera: its stop, speed, shutter, white, lens and the density before it. */
final class CameraWords implements PhraseParser {

    private static final double A_STOP_OF_ND = 0.3;
    private static final double FULL_CIRCLE = 360;
    private static final double DENSEST_SAID = 3;

    /** Stops as they are spoken: <em>two eight</em>. */
    private static final Map<String, String> SPOKEN = Map.ofEntries(
            Map.entry("one four", "1.4"),
            Map.entry("two eight", "2.8"),
            Map.entry("five six", "5.6"),
            Map.entry("one three", "1.3"),
            Map.entry("two two", "2.2"),
            Map.entry("two", "2"),
            Map.entry("four", "4"),
            Map.entry("eight", "8"),
            Map.entry("eleven", "11"),
            Map.entry("sixteen", "16"));

    /** Words by which a camera is meant though it is not named. */
    static boolean meanACamera(Words words) {
        int start = words.at();
        if (words.takeAny("rate it at", "rate at", "rated at")) {
            words.back(start);
            return true;
        }
        words.pass("at", "set", "go", "to", "the", "pull", "lose", "put", "we're");
        String one = words.peek();
        String two = words.peek(1);
        boolean camera = words.takeAny("open up", "close down", "stop down", "open", "iso", "shutter", "it at iso")
                || one.matches("[tf]\\d.*")
                || one.equals("nd")
                || one.equals("lens")
                || two.matches("iso|mil|fps|shutter")
                || words.ahead(3).matches("\\S+ (degree|degrees|°) shutter")
                || words.ahead(4).matches(".*\\bstops? of nd.*")
                || words.ahead(6).matches(".*\\b(mil|shutter|iso)\\b.*");
        words.back(start);
        return camera;
    }

    @Override
    public boolean read(Clause clause) {
        if (!clause.isCamera()) {
            return false;
        }
        return PhraseParser.any(
                clause,
                CameraWords::stop,
                CameraWords::speed,
                CameraWords::shutter,
                CameraWords::density,
                CameraWords::lens,
                CameraWords::white);
    }

    private static boolean stop(Clause clause) {
        Words words = clause.words();
        int sense = words.takeAny("open up", "open") ? -1 : words.takeAny("close down", "stop down", "close") ? 1 : 0;
        if (sense != 0) {
            words.pass("by", "another");
            double stops = Figures.amount(words)
                    .filter(Amount::areStops)
                    .map(Amount::stops)
                    .orElseThrow(() -> new Refusal("By how much? Say stops: open up a third."));
            words.take("more");
            double now = clause.draft()
                    .value(clause.about().key(), Stop.class)
                    .map(Stop::tStop)
                    .orElseThrow(() -> new Refusal("No stop is recorded yet: say it, t4."));
            clause.draft().put(clause.about(), new Stop(now * Math.pow(2, sense * stops / 2)));
            return true;
        }
        words.pass("at", "to", "on");
        boolean named = words.take("stop", "t", "f");
        words.take("at");
        Optional<String> said = named || words.peek().matches("[tf]\\d.*") ? number(words) : spoken(words);
        if (said.isEmpty()) {
            return false;
        }
        clause.draft().put(clause.about(), third(words, Stop.parse(said.get())));
        return true;
    }

    private static Optional<String> number(Words words) {
        if (words.peek().matches("[tf]\\d+(\\.\\d+)?")) {
            return Optional.of(words.take().text().substring(1));
        }
        if (words.peek().matches("\\d+(\\.\\d+)?")) {
            return Optional.of(words.take().text());
        }
        return spoken(words);
    }

    private static Optional<String> spoken(Words words) {
        for (int count = 2; count > 0; count--) {
            String said = SPOKEN.get(words.ahead(count));
            boolean named =
                    words.at() > 0 && words.all().get(words.at() - 1).text().matches("t|f|stop|at|to");
            if (said != null && (count == 2 || named)) {
                words.skip(count);
                return Optional.of(said);
            }
        }
        return Optional.empty();
    }

    /** {@code t4 1/3}, <em>and a half</em>. */
    private static Stop third(Words words, Stop whole) {
        int start = words.at();
        words.take("and", "plus");
        Optional<Figures.Counted> part = words.peek().matches("a|an|half|\\d/\\d|[⅓⅔½¼¾]|third|two|one|quarter")
                ? Figures.number(words)
                : Optional.empty();
        if (part.isPresent() && part.get().part() && part.get().value() < 1) {
            words.take("stop", "stops");
            double exact = whole.tStop();
            return new Stop(exact * Math.pow(2, part.get().value() / 2));
        }
        words.back(start);
        return whole;
    }

    private static boolean speed(Clause clause) {
        Words words = clause.words();
        boolean rated = words.takeAny("rate it at", "rate at", "rated at", "rate it");
        boolean named = words.take("iso", "ei");
        words.take("at");
        Optional<Figures.Counted> number = Figures.number(words);
        named |= words.take("iso", "ei");
        if (number.isEmpty() || (!named && !rated)) {
            return false;
        }
        clause.draft().put(clause.about(), new Speed(number.get().value()));
        return true;
    }

    private static boolean shutter(Clause clause) {
        Words words = clause.words();
        Shutter now = clause.draft().value(clause.about().key(), Shutter.class).orElse(new Shutter(24, 180));
        boolean named = words.take("shutter");
        words.pass("at", "to", "a");
        Optional<Double> part = partOfASecond(words);
        if (part.isPresent()) {
            words.take("s", "second");
            words.take("shutter");
            clause.draft().put(clause.about(), new Shutter(now.fps(), FULL_CIRCLE * now.fps() / part.get()));
            return true;
        }
        Optional<Amount> amount = Figures.amount(words);
        if (amount.isEmpty()) {
            return false;
        }
        if (words.take("fps")) {
            clause.draft().put(clause.about(), new Shutter(amount.get().value(), now.angleDeg()));
            return true;
        }
        boolean degrees = amount.get().is(Amount.Unit.DEGREES);
        if (degrees || (named && amount.get().is(Amount.Unit.BARE))) {
            words.take("shutter");
            clause.draft()
                    .put(clause.about(), new Shutter(now.fps(), amount.get().value()));
            return true;
        }
        return false;
    }

    private static final Map<String, Double> ORDINALS = Map.of(
            "fiftieth",
            50.0,
            "sixtieth",
            60.0,
            "thirtieth",
            30.0,
            "hundredth",
            100.0,
            "fortieth",
            40.0,
            "twentieth",
            20.0,
            "twenty-fourth",
            24.0);

    /** {@code 1/50}, <em>a sixtieth</em>, <em>forty eighth</em>. */
    private static Optional<Double> partOfASecond(Words words) {
        if (words.peek().matches("1/\\d{2,}")) {
            return Optional.of(Double.parseDouble(words.take().text().substring(2)));
        }
        int start = words.at();
        words.pass("a", "one", "an");
        Optional<Double> ordinal = words.takeKnown(ORDINALS);
        if (ordinal.isPresent()) {
            return ordinal;
        }
        if (words.takePhrase("forty eighth")) {
            return Optional.of(48.0);
        }
        if (words.takePhrase("hundred and twentieth")) {
            return Optional.of(120.0);
        }
        words.back(start);
        return Optional.empty();
    }

    private static boolean density(Clause clause) {
        Words words = clause.words();
        if (words.takeAny(
                "pull the nd",
                "pull nd",
                "lose the nd",
                "lose nd",
                "no nd",
                "clear",
                "nd out",
                "nd off",
                "take the nd out")) {
            clause.draft().put(clause.about(), new LensNd(0));
            return true;
        }
        Optional<Amount> stops = Figures.amount(words).filter(a -> a.is(Amount.Unit.STOPS));
        if (stops.isPresent() && words.takeAny("of nd", "nd")) {
            clause.draft().put(clause.about(), new LensNd(hundredth(stops.get().value() * A_STOP_OF_ND)));
            return true;
        }
        if (stops.isPresent() || !words.take("nd")) {
            return false;
        }
        if (words.take("out", "off")) {
            clause.draft().put(clause.about(), new LensNd(0));
            return true;
        }
        Amount said = Figures.amount(words)
                .orElseThrow(() -> new Refusal("Say the density: nd 0.6, or so many stops of nd."));
        if (said.is(Amount.Unit.STOPS)) {
            clause.draft().put(clause.about(), new LensNd(hundredth(said.value() * A_STOP_OF_ND)));
            return true;
        }
        double density = said.value();
        if (List.of(3.0, 6.0, 9.0, 12.0, 15.0, 18.0, 21.0).contains(density)) {
            density = density / 10;
        } else if (density >= 1 && density == Math.rint(density) && density > 0) {
            throw new Refusal(
                    "Density or stops? Say nd %.1f, or %.0f stops of nd.".formatted(density * A_STOP_OF_ND, density));
        }
        if (density > DENSEST_SAID) {
            throw new Refusal("That is very dense: say nd 0.3 to 3.");
        }
        clause.draft().put(clause.about(), new LensNd(hundredth(density)));
        return true;
    }

    private static double hundredth(double density) {
        return Math.round(density * 100) / 100.0;
    }

    private static boolean lens(Clause clause) {
        Words words = clause.words();
        boolean on = words.take("on");
        words.article();
        boolean named = words.take("lens");
        Optional<Figures.Counted> number = Figures.number(words);
        boolean unit = words.take("mil", "mm", "millimetre", "millimetres", "lens");
        words.take("lens");
        if (number.isEmpty() || (!on && !named && !unit) || number.get().value() >= 1000) {
            return false;
        }
        clause.draft().put(clause.about(), new Lens(number.get().value()));
        return true;
    }

    private static boolean white(Clause clause) {
        Words words = clause.words();
        words.pass("at", "to");
        boolean named = words.take("white");
        words.pass("balance", "at", "to");
        double kelvin;
        if (words.take("daylight")) {
            kelvin = 5600;
        } else if (words.take("tungsten")) {
            kelvin = 3200;
        } else {
            Optional<Amount> amount = Figures.amount(words);
            boolean fits = amount.isPresent()
                    && (amount.get().is(Amount.Unit.KELVIN)
                            || (amount.get().is(Amount.Unit.BARE)
                                    && amount.get().value() >= 1000));
            if (!fits) {
                if (named) {
                    throw new Refusal("Say the white in kelvin: white 3200.");
                }
                return false;
            }
            kelvin = amount.get().value();
        }
        clause.draft().put(clause.about(), new White(kelvin, tint(clause)));
        return true;
    }

    /** <em>Plus quarter green</em>, <em>plus 2 green</em>, {@code +0.002}: Duv; 0 when none is said. */
    private static double tint(Clause clause) {
        Words words = clause.words();
        int start = words.at();
        words.pass("and", ",", "with");
        Optional<StockNames.Found> gel = clause.speech().stock().ahead(words);
        if (gel.isPresent() && gel.get().exact() && gel.get().name().endsWith("green")) {
            words.skip(gel.get().words());
            return clause.speech()
                    .stock()
                    .named(gel.get().name())
                    .orElseThrow()
                    .effect()
                    .duv();
        }
        int sign = words.take("plus", "+") ? 1 : words.take("minus", "-") ? -1 : 0;
        if (sign == 0) {
            words.back(start);
            return 0;
        }
        int from = words.at();
        if (words.take("green")) {
            throw clause.ask(
                    from - 1,
                    "How much green?",
                    clause.speech().stock().having("green").stream()
                            .filter(n -> n.toLowerCase(Locale.ROOT).contains(sign > 0 ? "plus" : "minus"))
                            .toList());
        }
        Amount amount = Figures.amount(words)
                .filter(a -> a.is(Amount.Unit.BARE))
                .orElseThrow(() -> new Refusal("Say how much: plus 2 green, or plus quarter green."));
        int hand = words.take("magenta") ? -1 : 1;
        words.take("green");
        double said = amount.value();
        return sign * hand * (said >= 1 ? said / 1000 : said);
    }
}
