package org.oblume.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Polar;
import org.oblume.core.geometry.Side;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.Tape;
import org.oblume.core.geometry.Taped;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/** A place by two tapes from landmarks, by an angle at a mark, or round what it is aimed at. */
final class TapeWords implements PhraseParser {

    /** Crossings that are nearer to each other than this are one, metres. */
    private static final double SAME_M = 0.01;

    /** Straight to the side, within this many degrees, is neither towards the camera nor away from it. */
    private static final double ASKED_WITHIN_DEG = 15;

    @Override
    public boolean read(Clause clause) {
        if (!clause.about().kind().records(Attribute.PLACE)) {
            return false;
        }
        return PhraseParser.any(clause, TapeWords::taped, TapeWords::polar, TapeWords::round);
    }

    /** @param unit metres that a length without a unit behind it counts */
    private record Pull(Landmark from, double metres, double unit) {}

    private static boolean taped(Clause clause) {
        Words words = clause.words();
        words.pass("move", "put", "at", "is", "stands");
        int from = words.at();
        Optional<Pull> a = pull(clause, 1);
        if (a.isEmpty()) {
            return false;
        }
        words.pass("and", ",", "then", ";");
        Optional<Pull> b = pull(clause, a.get().unit());
        if (b.isEmpty()) {
            throw new Refusal("One tape gives no place: say a second one, from another landmark.");
        }
        int to = words.at();
        List<Measured> places = crossings(clause, a.get(), b.get(), sides(words));
        if (places.size() > 1) {
            words.back(to);
            String said =
                    words.all().subList(from, to).stream().map(Words.Word::text).collect(Collectors.joining(" "));
            throw Clause.ask(
                    words,
                    from,
                    "The tapes cross in two places: which one?",
                    places.stream().map(Measured::point).map(TapeWords::print).toList(),
                    places.stream()
                            .map(m -> Objects.requireNonNull(m.taped()).side() == Side.LEFT ? "left" : "right")
                            .map(side -> said + " on the " + side)
                            .toList());
        }
        put(clause, places.get(0));
        return true;
    }

    /** The hand on which it stands for someone walking from the first landmark to the second; both when it is not said. */
    private static List<Side> sides(Words words) {
        return words.takePhrase("on the left")
                ? List.of(Side.LEFT)
                : words.takePhrase("on the right") ? List.of(Side.RIGHT) : List.of(Side.values());
    }

    private static String print(PlanPoint point) {
        return String.format(Locale.ROOT, "%.2f,%.2f", MoveWords.round(point.xM()), MoveWords.round(point.yM()));
    }

    /** Puts it there, and keeps beside it how that was measured. */
    private static void put(Clause clause, Measured measured) {
        MoveWords.put(clause, measured.point().at(0));
        clause.draft().measured(clause.about(), measured);
    }

    /** {@code 2.12 m from window post}; nothing taken when it is none. */
    private static Optional<Pull> pull(Clause clause, double usualUnit) {
        Words words = clause.words();
        int start = words.at();
        Optional<Amount> length = Figures.amount(words).filter(a -> a.is(Amount.Unit.METRES) || a.is(Amount.Unit.BARE));
        boolean feet = words.all().subList(start, words.at()).stream()
                .anyMatch(w -> w.text().matches("foot|feet|ft|'"));
        boolean from = length.isPresent() && words.take("from", "off");
        if (!from) {
            words.back(start);
            return Optional.empty();
        }
        boolean off = words.all().get(words.at() - 1).text().equals("off");
        words.take("of");
        Optional<Landmark> landmark = clause.speech().landmark(words);
        if (landmark.isEmpty()) {
            words.article();
            boolean nothing = words.endsClause() || words.peek().matches("lens|camera|[\\d.]+");
            if (nothing
                    || (off && length.get().is(Amount.Unit.BARE) && length.get().part())) {
                words.back(start);
                return Optional.empty();
            }
            throw new Refusal("“%s” is no landmark here. There are: %s."
                    .formatted(
                            words.peek(),
                            clause.speech().landmarks().stream()
                                    .map(Landmark::name)
                                    .collect(Collectors.joining(", "))));
        }
        double metres = length.get().is(Amount.Unit.BARE)
                ? length.get().value() * usualUnit
                : length.get().value();
        return Optional.of(new Pull(landmark.get(), metres, feet ? Length.METRES_PER_FOOT : usualUnit));
    }

    /** Where two tapes cross: the one on its side of the walls when only one is. */
    private static List<Measured> crossings(Clause clause, Pull a, Pull b, List<Side> sides) {
        boolean outside = clause.draft()
                .value(clause.about().key(), Place.class)
                .map(Place::outside)
                .orElse(false);
        Walls walls = clause.draft().scene().set().tapeWalls();
        List<Tape> tapes = List.of(new Tape(a.from(), a.metres()), new Tape(b.from(), b.metres()));
        List<Measured> here = new ArrayList<>();
        for (Side side : sides) {
            Measured measured = Measured.by(new Taped(tapes, side));
            try {
                PlanPoint point = measured.point();
                boolean known = here.stream().anyMatch(m -> m.point().distanceM(point) < SAME_M);
                if (!known && (!walls.haveARoom() || walls.encloses(point) != outside)) {
                    here.add(measured);
                }
            } catch (Refusal miss) {
                throw new Refusal(Phrase.format("%s: %s", clause.name(), miss.phrase()));
            }
        }
        if (here.isEmpty()) {
            throw new Refusal("%s would stand %s the walls there: measure again, or say that it is %s."
                    .formatted(clause.name(), outside ? "inside" : "outside", outside ? "inside" : "outside"));
        }
        return here;
    }

    /** <em>120 degrees camera left of the skipper two metres off</em>. */
    private static boolean polar(Clause clause) {
        Words words = clause.words();
        words.pass("at", "to");
        Optional<Amount> angle = Figures.amount(words).filter(a -> a.is(Amount.Unit.DEGREES) || a.is(Amount.Unit.BARE));
        if (angle.isEmpty()) {
            return false;
        }
        words.pass("to", "the");
        words.take("camera");
        int sign = words.take("left") ? 1 : words.take("right") ? -1 : 0;
        if (!words.take("of", "from")) {
            return false;
        }
        words.article();
        int from = words.at();
        Optional<Names.Found> found = clause.speech().names().ahead(words);
        List<Placement> marks = found.map(Names.Found::things).orElse(List.of()).stream()
                .filter(p -> p.kind() == PlacementKind.MARK)
                .toList();
        if (marks.isEmpty()) {
            return false;
        }
        words.skip(found.orElseThrow().words());
        if (marks.size() > 1) {
            throw Clause.which(words, from, "Who?", marks);
        }
        if (sign == 0) {
            throw new Refusal("On which side? Say camera left or camera right of %s."
                    .formatted(marks.get(0).name()));
        }
        words.pass("at", ",", "and");
        double metres = Figures.length(words)
                .orElseThrow(() ->
                        new Refusal("How far from %s?".formatted(marks.get(0).name())));
        words.take("off", "away", "out");
        put(
                clause,
                Measured.by(new Polar(
                        marks.get(0).name(),
                        clause.draft().position(marks.get(0)).onPlan(),
                        clause.draft().position(clause.draft().camera()).onPlan(),
                        metres,
                        angle.get().value(),
                        sign > 0 ? Side.LEFT : Side.RIGHT)));
        return true;
    }

    /** <em>Round 15 degrees to camera left</em>: around what it is aimed at, as far from it as it is. */
    private static boolean round(Clause clause) {
        Words words = clause.words();
        words.pass("move", "go", "walk", "take", "bring", "swing");
        int from = words.at();
        Optional<Amount> before = Figures.amount(words).filter(a -> a.is(Amount.Unit.DEGREES));
        if (before.isEmpty()) {
            words.back(from);
        }
        if (!words.take("round", "around")) {
            return false;
        }
        Amount amount = before.or(() -> Figures.amount(words))
                .filter(a -> a.is(Amount.Unit.DEGREES) || a.is(Amount.Unit.BARE))
                .orElseThrow(() -> new Refusal("Round by how many degrees?"));
        words.pass("to", "the");
        boolean towards = words.peek().matches("towards|toward");
        boolean away = words.peek().equals("away");
        double axis = MoveWords.axis(clause);
        double wanted;
        if (towards || away) {
            words.skip(1);
            words.pass("the", "from", "camera");
            wanted = axis + (towards ? 180 : 0);
        } else {
            words.take("camera");
            int sign = words.take("left") ? -1 : words.take("right") ? 1 : 0;
            if (sign == 0) {
                throw new Refusal("Round to which side? Say camera left or camera right.");
            }
            wanted = axis + sign * 90;
        }
        SpacePoint target = clause.draft().markAimedAt(clause.about());
        SpacePoint now = clause.draft().position(clause.about());
        double standing = Direction.between(target.onPlan().at(0), now.onPlan().at(0))
                .bearing()
                .degrees();
        double aside = difference(wanted, standing);
        if (!towards && !away && (Math.abs(aside) <= ASKED_WITHIN_DEG || Math.abs(aside) >= 180 - ASKED_WITHIN_DEG)) {
            String degrees = "round %s degrees ".formatted(Math.round(amount.value()));
            throw Clause.ask(
                    words,
                    from,
                    "It stands straight to the side: round towards the camera, or away from it?",
                    List.of("towards camera", "away from camera"),
                    List.of(degrees + "towards camera", degrees + "away from camera"));
        }
        double bearing = standing + Math.signum(aside) * amount.value();
        double across = target.onPlan().distanceM(now.onPlan());
        MoveWords.put(
                clause,
                Direction.of(Bearing.ofDegrees(bearing), 0).from(target.onPlan().at(0), across));
        return true;
    }

    /** How far to turn from one bearing to another, −180 to 180. */
    private static double difference(double to, double from) {
        double turn = (to - from) % 360;
        return turn > 180 ? turn - 360 : turn <= -180 ? turn + 360 : turn;
    }
}
