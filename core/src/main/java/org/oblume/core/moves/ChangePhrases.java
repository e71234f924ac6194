package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** A change of one value in the words that a crew has for it. */
public final class ChangePhrases {

    /** A move counts as towards a mark while it is within this of the line to it, degrees (model). */
    private static final double STRAIGHT_DEG = 30;

    private static final double QUARTER_TURN_DEG = 90;
    private static final double HALF_TURN_DEG = 180;

    private ChangePhrases() {}

    /**
     * @param was key of the thing on the first side
     * @param is its key on the second
     */
    public static Phrase of(ComparedState from, String was, ComparedState to, String is, Attribute attribute) {
        @Nullable AttributeValue before = from.state().value(was, attribute).orElse(null);
        @Nullable AttributeValue after = to.state().value(is, attribute).orElse(null);
        if (attribute == Attribute.UNIT) {
            return Phrase.of("%s to %s"
                    .formatted(
                            from.scene().placement(was).piece().called(),
                            to.scene().placement(is).piece().called()));
        }
        if (after == null) {
            return Phrase.of("no " + attribute.label() + " recorded");
        }
        if (before == null) {
            return say(to.scene(), after);
        }
        if (after instanceof Place place && before instanceof Place old) {
            return moved(to, is, old, place);
        }
        if (after instanceof Height height && before instanceof Height old) {
            double up = height.heightM() - old.heightM();
            return Phrase.format(up < 0 ? "%s lower" : "%s higher", Phrase.of(Length.ofMetres(Math.abs(up))));
        }
        if (after instanceof Modifiers stack && before instanceof Modifiers old) {
            return restacked(old, stack);
        }
        if (after instanceof AimSetting) {
            return turned(from, was, to, is, after);
        }
        if (after instanceof SetStatus) {
            return after.phrase();
        }
        return fromTo(say(from.scene(), before), say(to.scene(), after));
    }

    /** A value in words, with the mark that it is aimed at called as the crew calls it. */
    public static Phrase say(SceneRecord scene, AttributeValue value) {
        return scene.named(value).phrase();
    }

    static @Nullable AttributeValue named(ComparedState side, @Nullable AttributeValue value) {
        return value == null ? null : side.scene().named(value);
    }

    /** {@code 64 to 45 %}: a unit that both have is said once. */
    private static Phrase fromTo(Phrase before, Phrase after) {
        return new Phrase(fromTo(before.metric(), after.metric()), fromTo(before.imperial(), after.imperial()));
    }

    private static String fromTo(String before, String after) {
        int gap = after.lastIndexOf(' ');
        String unit = gap < 0 ? "" : after.substring(gap);
        boolean shared = !unit.isEmpty() && before.endsWith(unit) && before.indexOf(' ') == before.lastIndexOf(' ');
        return (shared ? before.substring(0, before.length() - unit.length()) : before) + " to " + after;
    }

    private static Phrase moved(ComparedState to, String key, Place before, Place after) {
        double by = before.point().distanceM(after.point());
        String outside = before.outside() == after.outside() ? "" : after.outside() ? ", outside" : ", inside";
        if (by == 0) {
            return Phrase.of(outside.isEmpty() ? "stays" : outside.substring(2));
        }
        return Phrase.format(
                "%s " + way(to, key, before.point(), after.point()) + outside, Phrase.of(Length.ofMetres(by)));
    }

    /** Closer or back from the mark that it is aimed at; else as the camera sees it; else on the plan. */
    private static String way(ComparedState to, String key, PlanPoint before, PlanPoint after) {
        Bearing moved = Bearing.fromOffset(after.xM() - before.xM(), after.yM() - before.yM());
        Optional<PlanPoint> mark =
                to.state().value(key, AimSetting.class).map(AimSetting::mark).flatMap(to::point);
        if (mark.isPresent()) {
            Bearing towards =
                    Bearing.fromOffset(mark.get().xM() - before.xM(), mark.get().yM() - before.yM());
            double off = Math.abs(moved.minus(towards));
            if (off <= STRAIGHT_DEG || off >= HALF_TURN_DEG - STRAIGHT_DEG) {
                return off <= STRAIGHT_DEG ? "closer" : "back";
            }
        }
        Optional<Bearing> looks = to.camera()
                .filter(c -> !c.key().equals(key))
                .flatMap(c -> to.state().aim(c.key()))
                .map(Aim::bearing);
        double turn = moved.minus(looks.orElse(Bearing.ofDegrees(0)));
        String side = turn < 0 ? "left" : "right";
        boolean along = Math.abs(turn) <= QUARTER_TURN_DEG / 2;
        boolean against = Math.abs(turn) >= HALF_TURN_DEG - QUARTER_TURN_DEG / 2;
        if (looks.isEmpty()) {
            return along ? "up the plan" : against ? "down the plan" : side + " on the plan";
        }
        return along ? "upstage" : against ? "towards camera" : "camera " + side;
    }

    private static Phrase turned(ComparedState from, String was, ComparedState to, String is, AttributeValue after) {
        Optional<Aim> before = from.state().aim(was);
        Optional<Aim> now = to.state().aim(is);
        Phrase aimed = say(to.scene(), after);
        if (before.isEmpty() || now.isEmpty() || (after instanceof AimSetting pointing && pointing.mark() != null)) {
            return Phrase.format("aimed %s", aimed);
        }
        double by = now.get().bearing().minus(before.get().bearing());
        return Math.round(by) == 0
                ? Phrase.format("aimed %s", aimed)
                : Phrase.format("turned %d° %s, to %s", Math.abs(Math.round(by)), by < 0 ? "left" : "right", aimed);
    }

    /** What comes off and what goes on; when only the order or a frame's place is another, the stack as it is to be. */
    static Phrase restacked(Modifiers before, Modifiers after) {
        List<Phrase> said = new ArrayList<>();
        left(before, after).forEach(m -> said.add(Phrase.of(m.name() + " off")));
        left(after, before).forEach(m -> said.add(Phrase.format("%s on", m.phrase())));
        return said.isEmpty() ? Phrase.format("through %s", after.phrase()) : Phrase.joined(", ", said);
    }

    /**
     * A value in as few letters as a cell of the carry board has room for; of modifiers, what went off and came on.
     *
     * @param before what held in the shot that it carries from, or null when there is none
     */
    public static Phrase brief(@Nullable AttributeValue before, AttributeValue after) {
        if (!(before instanceof Modifiers old) || !(after instanceof Modifiers stack)) {
            return after.brief();
        }
        List<Phrase> said = new ArrayList<>();
        left(old, stack).forEach(m -> said.add(Phrase.of(m.name() + " off")));
        left(stack, old).forEach(m -> said.add(Phrase.of(m.brief() + " on")));
        return said.isEmpty() ? after.brief() : Phrase.joined(", ", said);
    }

    private static List<Modifier> left(Modifiers of, Modifiers without) {
        List<Modifier> rest = new ArrayList<>(of.items());
        without.items().forEach(rest::remove);
        return rest;
    }
}
