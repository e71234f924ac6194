package org.oblume.core.say;

import java.util.List;
import java.util.Optional;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

/** Where something points: at a mark, at a landmark, along a bearing, panned and tilted from where it points now. */
final class AimWords implements PhraseParser {

    private static final double TENTHS = 10;

    @Override
    public boolean read(Clause clause) {
        if (!clause.about().kind().records(Attribute.AIM)) {
            return false;
        }
        return PhraseParser.any(clause, AimWords::turned, AimWords::tilted, AimWords::pointed);
    }

    /** <em>Pan left ten degrees</em>, <em>five degrees right</em>: as one stands behind it. */
    private static boolean turned(Clause clause) {
        Words words = clause.words();
        boolean verb = words.take("pan", "turn", "swing", "rotate");
        words.take("it");
        Optional<Amount> before = Figures.amount(words).filter(a -> verb || a.is(Amount.Unit.DEGREES));
        words.pass("to", "the");
        int sign = words.take("right") ? 1 : words.take("left") ? -1 : 0;
        if (sign == 0 || (before.isEmpty() && !verb) || words.peek().equals("of")) {
            return false;
        }
        words.take("by");
        Amount amount = before.or(() -> Figures.amount(words))
                .filter(a -> a.is(Amount.Unit.DEGREES) || a.isNamed() || a.is(Amount.Unit.BARE))
                .orElseThrow(() -> new Refusal("Say by how many degrees: pan left 10 degrees."));
        Pointing aim = now(clause);
        put(clause, aim.bearingDeg() + sign * amount.degrees(), aim.tiltDeg());
        return true;
    }

    /** <em>Tilt down 8</em>. */
    private static boolean tilted(Clause clause) {
        Words words = clause.words();
        if (!words.take("tilt")) {
            return false;
        }
        words.take("it");
        Optional<Amount> before = Figures.amount(words);
        int sign = words.take("up") ? 1 : words.take("down") ? -1 : 0;
        if (sign == 0) {
            throw new Refusal("Tilt it up or down, by how many degrees?");
        }
        words.take("by");
        Amount amount = before.or(() -> Figures.amount(words))
                .filter(a -> a.is(Amount.Unit.DEGREES) || a.isNamed() || a.is(Amount.Unit.BARE))
                .orElseThrow(() -> new Refusal("Say by how many degrees: tilt down 8 degrees."));
        MoreOrLess.tilt(clause, sign * amount.degrees());
        return true;
    }

    private static boolean pointed(Clause clause) {
        Words words = clause.words();
        boolean verb = words.take("aim", "point", "swing", "turn", "face", "look");
        words.pass("it", "up");
        boolean turn = verb && words.all().get(words.at() - 1).text().equals("turn");
        boolean at = words.take("on", "at", "onto", "to", "towards");
        if (words.take("bearing")) {
            double bearing = Figures.amount(words)
                    .map(Amount::value)
                    .orElseThrow(() -> new Refusal("Say the bearing in degrees: bearing 60."));
            Optional<Double> tilt = upOrDown(words);
            put(clause, bearing, tilt.isPresent() ? tilt.get() : now(clause).tiltDeg());
            return true;
        }
        if (verb) {
            int here = words.at();
            Optional<Amount> bearing = Figures.amount(words).filter(a -> !a.isNamed() && !a.is(Amount.Unit.METRES));
            if (bearing.isPresent()) {
                put(clause, bearing.get().value(), upOrDown(words).orElse(0.0));
                return true;
            }
            words.back(here);
        }
        if (!at && (!verb || turn)) {
            return false;
        }
        return target(clause, verb && !turn);
    }

    /** {@code down 10}: the tilt as it is typed behind a bearing. */
    private static Optional<Double> upOrDown(Words words) {
        int start = words.at();
        int sign = words.take("up") ? 1 : words.take("down") ? -1 : 0;
        Optional<Amount> tilt = sign == 0 ? Optional.empty() : Figures.amount(words);
        if (tilt.isEmpty()) {
            words.back(start);
        }
        return tilt.map(t -> sign * t.value());
    }

    private static boolean target(Clause clause, boolean verb) {
        Words words = clause.words();
        words.article();
        int from = words.at();
        Optional<Names.Found> named = words.peek().equals("mark")
                ? Optional.of(new Names.Found(clause.draft().marks(), true, 1))
                : clause.speech().names().ahead(words);
        if (named.isPresent()) {
            List<Placement> marks = named.get().things().stream()
                    .filter(p -> p.kind() == PlacementKind.MARK)
                    .toList();
            if (!marks.isEmpty()) {
                words.skip(named.get().words());
                if (marks.size() > 1) {
                    throw Clause.which(words, from, "Who?", marks);
                }
                Placement mark = marks.get(0);
                clause.draft()
                        .put(
                                clause.about(),
                                AimSetting.atMark(
                                        mark.key(), height(words, clause.draft().eyesM(mark.key()))));
                return true;
            }
        }
        words.back(from);
        Optional<Landmark> landmark = clause.speech().landmark(words);
        if (landmark.isPresent()) {
            SpacePoint here = clause.draft().position(clause.about());
            Bearing bearing = Direction.between(
                            here.onPlan().at(0), landmark.get().point().at(0))
                    .bearing();
            put(clause, bearing.degrees(), now(clause).tiltDeg());
            return true;
        }
        if (verb) {
            throw new Refusal("Say what it is aimed at: a mark, a landmark, or a bearing. Marks here: %s."
                    .formatted(String.join(
                            ", ",
                            clause.draft().marks().stream().map(Placement::name).toList())));
        }
        return false;
    }

    /** <em>A metre twenty up</em>: the height on the mark that it is aimed at. */
    private static double height(Words words, double usual) {
        int start = words.at();
        words.pass("at", ",");
        Optional<Double> metres = Figures.length(words);
        if (metres.isPresent() && words.take("up", "high")) {
            return MoveWords.round(metres.get());
        }
        words.back(start);
        return usual;
    }

    /** Which way it points now; from a mark that is worked out. */
    static Pointing now(Clause clause) {
        AimSetting aim = clause.draft()
                .value(clause.about().key(), AimSetting.class)
                .orElseThrow(() -> new Refusal("%s has no aim yet: say what it is aimed at.".formatted(clause.name())));
        if (aim.bearingDeg() != null && aim.tiltDeg() != null) {
            return new Pointing(aim.bearingDeg(), aim.tiltDeg());
        }
        Aim worked = Aim.between(
                clause.draft().position(clause.about()), clause.draft().target(clause.about()));
        return new Pointing(worked.bearing().degrees(), worked.tiltDeg());
    }

    /** @param tiltDeg down is negative */
    record Pointing(double bearingDeg, double tiltDeg) {}

    private static void put(Clause clause, double bearingDeg, double tiltDeg) {
        double bearing = tenth(Bearing.ofDegrees(bearingDeg).degrees());
        clause.draft().put(clause.about(), AimSetting.along(bearing >= 360 ? 0 : bearing, tenth(tiltDeg)));
    }

    static double tenth(double degrees) {
        return Math.round(degrees * TENTHS) / TENTHS;
    }
}
