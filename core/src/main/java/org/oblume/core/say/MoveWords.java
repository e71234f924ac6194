package org.oblume.core.say;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/** Nearer and farther, to the sides of the camera's axis, by the compass: along the floor, at its own height. */
final class MoveWords implements PhraseParser {

    /** Nobody sets a stand finer than a tape reads: to the centimetre. */
    private static final double PER_METRE = 100;

    private static final String[] MOVE = {
        "walk", "push", "bring", "move", "slide", "shift", "come", "go", "take", "pull", "bump", "put"
    };
    /** Behind a length these say that it is something else than how far it is. */
    private static final String NOT_A_THROW =
            "up|down|high|higher|lower|from|of|frame|wide|wider|raise|drop|lift|closer|nearer|farther|further|forward|back|in|left|right|camera|towards|north|east|south|west|lens";

    private static final List<String> COMPASS = List.of("north", "east", "south", "west");
    /** Turned from the camera's axis, degrees. */
    private static final Map<String, Integer> SIDES = Map.of("left", -90, "right", 90);

    @Override
    public boolean read(Clause clause) {
        if (!clause.about().kind().records(Attribute.PLACE)) {
            return false;
        }
        return PhraseParser.any(clause, MoveWords::sent, MoveWords::fromBearing, MoveWords::moved, MoveWords::thrown);
    }

    /** Metres, to the centimetre, half up. */
    static double round(double metres) {
        return Math.floor(metres * PER_METRE + 0.5 + 1e-9) / PER_METRE;
    }

    /** Puts it there on the floor; it stays on the side of the walls that it is marked to be on. */
    static void put(Clause clause, SpacePoint at) {
        boolean outside = clause.draft()
                .value(clause.about().key(), Place.class)
                .map(Place::outside)
                .orElse(false);
        clause.draft().put(clause.about(), new Place(round(at.xM()), round(at.yM()), outside));
    }

    private static boolean moved(Clause clause) {
        Words words = clause.words();
        words.take(MOVE);
        words.pass("it");
        Optional<Amount> before = length(words);
        Optional<Bearing> way = way(clause);
        if (way.isPresent()) {
            words.take("by");
            Amount amount = before.or(() -> length(words))
                    .orElseThrow(() -> new Refusal("How far? Say it with a unit: 40 cm."));
            put(clause, Direction.of(way.get(), 0).from(clause.draft().position(clause.about()), amount.metres()));
            return true;
        }
        int sense = sense(words);
        if (sense == 0) {
            return false;
        }
        words.pass("by", "it");
        Optional<Amount> amount = before.or(() -> length(words));
        if (amount.isEmpty()) {
            if (words.at() > 0 && words.all().get(words.at() - 1).text().equals("in")) {
                return false;
            }
            throw new Refusal("%s how far? Say it with a unit: 40 cm.".formatted(sense > 0 ? "Back" : "Closer"));
        }
        double metres = sense * amount.get().metres();
        Optional<Double> bearing = clause.draft().bearingDeg(clause.about());
        if (clause.isMark()) {
            alongTheCamera(clause, metres);
        } else if (bearing.isPresent()) {
            SpacePoint now = clause.draft().position(clause.about());
            put(clause, Direction.of(Bearing.ofDegrees(bearing.get()), 0).from(now, -metres));
        } else {
            SpacePoint target = clause.draft().target(clause.about());
            at(clause, clause.draft().position(clause.about()).distanceM(target) + metres);
        }
        return true;
    }

    private static Optional<Amount> length(Words words) {
        int start = words.at();
        Optional<Amount> amount = Figures.amount(words).filter(a -> a.is(Amount.Unit.METRES) || a.isNamed());
        if (amount.isEmpty()) {
            words.back(start);
        }
        return amount;
    }

    /** −1 nearer, 1 farther, 0 neither. */
    private static int sense(Words words) {
        words.take("straight");
        if (words.take("closer", "nearer", "in", "forward", "forwards")) {
            words.take("closer");
            return -1;
        }
        if (words.peek().equals("back") && words.peek(1).equals("on")) {
            return 0;
        }
        if (words.takeAny("back off", "back out", "back", "backwards", "farther", "further")) {
            words.pass("away", "out", "back", "off");
            return 1;
        }
        return 0;
    }

    /** A side of the camera's axis, or a point of the compass. */
    private static Optional<Bearing> way(Clause clause) {
        Words words = clause.words();
        int start = words.at();
        words.pass("to", "the");
        if (words.peek().matches("stage|his|her|their|screen|house") && SIDES.containsKey(words.peek(1))) {
            throw new Refusal("Say it as the camera sees it: camera left or camera right.");
        }
        if (words.peek().equals("camera") && SIDES.containsKey(words.peek(1))) {
            words.skip(1);
            return words.takeKnown(SIDES).map(side -> turned(clause, side));
        }
        if (SIDES.containsKey(words.peek()) && !words.peek(1).equals("of")) {
            return words.takeKnown(SIDES).map(side -> turned(clause, side));
        }
        if (words.takeAny("towards camera", "towards the camera", "toward camera", "to camera", "toward the camera")) {
            return Optional.of(turned(clause, 180));
        }
        if (words.takeAny("away from camera", "away from the camera", "from camera")) {
            return Optional.of(turned(clause, 0));
        }
        if (COMPASS.contains(words.peek())) {
            double north = clause.draft().scene().set().northDeg();
            return Optional.of(
                    Bearing.ofDegrees(90 * COMPASS.indexOf(words.take().text()) + north));
        }
        words.back(start);
        return Optional.empty();
    }

    private static Bearing turned(Clause clause, int degrees) {
        return Bearing.ofDegrees(axis(clause) + degrees);
    }

    /** Bearing on the plan from the camera to the mark that it is aimed at, or along which it is aimed. */
    static double axis(Clause clause) {
        Placement camera = clause.draft().camera();
        SpacePoint from = clause.draft().position(camera);
        return clause.draft()
                .value(camera.key(), AimSetting.class)
                .map(aim -> aim.bearingDeg() != null
                        ? aim.bearingDeg()
                        : Direction.between(
                                        from.onPlan().at(0),
                                        clause.draft().target(camera).onPlan().at(0))
                                .bearing()
                                .degrees())
                .orElseThrow(() -> new Refusal("The camera has no aim yet: say north, east, south or west."));
    }

    private static void alongTheCamera(Clause clause, double metres) {
        SpacePoint camera = clause.draft().position(clause.draft().camera());
        SpacePoint mark = clause.draft().position(clause.about());
        Direction away = Direction.between(camera.onPlan().at(0), mark.onPlan().at(0));
        put(clause, away.from(mark, metres));
    }

    /** {@code 2.1 m}, <em>nine foot away</em>, <em>at three metres</em>: so far from what it is aimed at. */
    private static boolean thrown(Clause clause) {
        Words words = clause.words();
        words.take("at");
        Optional<Double> metres = Figures.length(words);
        if (metres.isEmpty() || clause.isCamera() || clause.isMark()) {
            return false;
        }
        if (words.peek().matches(NOT_A_THROW)) {
            return false;
        }
        words.take("away", "off", "out");
        at(clause, metres.get());
        return true;
    }

    /** Puts it so far from what it is aimed at, along the floor, at its own height. */
    private static void at(Clause clause, double metres) {
        SpacePoint from = clause.draft().position(clause.about());
        SpacePoint target = clause.draft().markAimedAt(clause.about());
        double rise = from.zM() - target.zM();
        if (metres <= Math.abs(rise)) {
            throw new Refusal(Phrase.format(
                    "%s is %s higher or lower than what it is aimed at: it cannot be %s away. Lower it first.",
                    clause.name(), Phrase.metres(Math.abs(rise)), Phrase.metres(Math.max(0, metres))));
        }
        double across = Math.sqrt(metres * metres - rise * rise);
        if (from.onPlan().distanceM(target.onPlan()) == 0) {
            throw new Refusal(
                    "%s stands right over what it is aimed at: drag it to a side first.".formatted(clause.name()));
        }
        Direction way = Direction.between(target.onPlan().at(0), from.onPlan().at(0));
        put(clause, way.from(target.onPlan().at(from.zM()), across));
    }

    /** {@code from 118 up 24 at 6.5 m}: along a bearing from what it is aimed at. */
    private static boolean fromBearing(Clause clause) {
        Words words = clause.words();
        if (!words.take("from")) {
            return false;
        }
        Optional<Double> bearing = degrees(words);
        if (bearing.isEmpty()) {
            return false;
        }
        double up = words.take("up") ? degrees(words).orElse(0.0) : 0;
        words.take("at");
        SpacePoint target = clause.draft().target(clause.about());
        double away = Figures.length(words)
                .orElseGet(() -> clause.draft().position(clause.about()).distanceM(target));
        SpacePoint there = Direction.of(Bearing.ofDegrees(bearing.get()), up).from(target, away);
        put(clause, there);
        clause.draft().put(clause.about(), new Height(round(there.zM())));
        return true;
    }

    private static Optional<Double> degrees(Words words) {
        return Figures.amount(words)
                .filter(a -> a.is(Amount.Unit.BARE) || a.is(Amount.Unit.DEGREES))
                .map(Amount::value);
    }

    /** {@code mirror send sun to streak}: turns a mirror so that it sends a light to a mark, and the light to the mirror. */
    private static boolean sent(Clause clause) {
        Words words = clause.words();
        if (clause.about().kind() != PlacementKind.MIRROR || !words.take("send", "sends")) {
            return false;
        }
        Placement light = one(clause, true, "Say which light it sends: send sun to mark 1.");
        words.take("to", "at");
        Placement mark = one(clause, false, "Say which mark it goes to: send sun to mark 1.");
        SpacePoint mirror = clause.draft().position(clause.about());
        Direction towards = Direction.between(mirror, clause.draft().position(light));
        Direction onwards = Direction.between(mirror, clause.draft().position(mark));
        Direction between =
                new Direction(towards.x() + onwards.x(), towards.y() + onwards.y(), towards.z() + onwards.z());
        aim(clause, clause.about(), between);
        aim(clause, light, towards.opposite());
        return true;
    }

    private static void aim(Clause clause, Placement thing, Direction way) {
        clause.draft().put(thing, AimSetting.along(way.bearing().degrees(), way.tiltDeg()));
    }

    private static Placement one(Clause clause, boolean light, String missing) {
        clause.words().article();
        Optional<Names.Found> found = clause.speech().names().ahead(clause.words());
        Placement one = found.filter(f -> f.things().size() == 1)
                .map(f -> f.things().get(0))
                .filter(p -> light == p.kind().isLight())
                .orElseThrow(() -> new Refusal(missing));
        clause.words().skip(found.orElseThrow().words());
        return one;
    }
}
