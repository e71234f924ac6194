package org.oblume.core.network;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Percent;

/** What the rig says of itself, beside the record. */
public final class ReadBack {

    private static final int BYTE = 255;
    private static final int WORD = 65535;
    private static final double SLACK = 1e-6;
    /** Where a tenth of a percent does not tell two levels apart. */
    private static final int FINE_DECIMALS = 3;

    private static final double LEAST_RATE_HZ = 0.1;

    private ReadBack() {}

    /**
     * One difference.
     *
     * @param key of the placement
     * @param attribute that differs, or null when the unit does not answer at all
     * @param sentence in the job's words: {@code Edge is at 62 %, record 55 %}
     * @param rigs the value as the rig has it, to be taken as a knot; null when there is none to take
     * @param status when the light is on on one side and off on the other: what the rig has
     * @param bySending whether sending the record again can mend it
     */
    public record Drift(
            String key,
            @Nullable Attribute attribute,
            String sentence,
            @Nullable AttributeValue rigs,
            @Nullable SetStatus status,
            boolean bySending) {}

    /**
     * What differs, unit by unit. What the network does not reach is left out.
     *
     * @param steps of a level, in the unit's own resolution, that still count as the same; 1 is what rounding may cost
     */
    public static List<Drift> of(Collection<PatchedUnit> units, Collection<UnitAnswer> answers, double steps) {
        List<Drift> drift = new ArrayList<>();
        for (PatchedUnit unit : units) {
            if (unit.isPatched()) {
                answers.stream()
                        .filter(a -> a.unit().equals(unit.unit()))
                        .findFirst()
                        .ifPresentOrElse(
                                a -> drift.addAll(of(unit, a, steps)),
                                () -> drift.add(silent(unit, "is not on the rig")));
            }
        }
        return drift;
    }

    private static List<Drift> of(PatchedUnit unit, UnitAnswer answer, double steps) {
        String silence = answer.silence();
        if (silence != null) {
            return List.of(silent(unit, silence));
        }
        List<Drift> drift = new ArrayList<>();
        settings(drift, unit, answer);
        boolean asPatched = drift.isEmpty();
        if (asPatched && !answer.hears()) {
            return List.of(new Drift(
                    unit.placement().key(),
                    null,
                    "%s hears nothing in universe %d: it stands at %s."
                            .formatted(
                                    name(unit),
                                    answer.universe(),
                                    percent(answer.dialled().levelPercent(), 1)),
                    null,
                    null,
                    true));
        }
        menu(drift, unit, answer.menu());
        Mode mode = unit.mode().orElse(null);
        if (asPatched && mode != null) {
            levels(drift, unit, mode, answer, steps);
        }
        return drift;
    }

    private static Drift silent(PatchedUnit unit, String why) {
        return new Drift(
                unit.placement().key(),
                null,
                "%s does not answer: it %s.".formatted(name(unit), why),
                null,
                null,
                false);
    }

    private static void settings(List<Drift> drift, PatchedUnit unit, UnitAnswer answer) {
        Patch patch = unit.patch();
        Patch theirs = patch.at(answer.universe(), answer.address());
        if (patch.mode() != null && !patch.mode().equalsIgnoreCase(answer.mode())) {
            Integer slots = unit.modes().stream()
                    .filter(m -> m.name().equals(answer.mode()))
                    .findFirst()
                    .map(Mode::slots)
                    .orElse(patch.slots());
            drift.add(new Drift(
                    unit.placement().key(),
                    Attribute.PATCH,
                    "%s is in mode %s, record %s.".formatted(name(unit), answer.mode(), patch.mode()),
                    new Patch(answer.universe(), answer.address(), slots, answer.mode(), theirs.path(), null),
                    null,
                    true));
        } else if (!Objects.equals(patch.universe(), answer.universe())
                || !Objects.equals(patch.address(), answer.address())) {
            drift.add(new Drift(
                    unit.placement().key(),
                    Attribute.PATCH,
                    "%s listens at %d / %d, record %d / %d."
                            .formatted(
                                    name(unit), answer.universe(), answer.address(), patch.universe(), patch.address()),
                    theirs,
                    null,
                    true));
        }
    }

    private static void menu(List<Drift> drift, PatchedUnit unit, Menu theirs) {
        List<String> is = new ArrayList<>();
        List<String> was = new ArrayList<>();
        Menu ours = unit.menu();
        differs(is, was, "curve ", theirs.curve(), ours.curve());
        differs(is, was, "smoothing ", theirs.smoothing(), ours.smoothing());
        differs(is, was, "fan ", theirs.fan(), ours.fan());
        differs(is, was, "output ", theirs.output(), ours.output());
        differs(is, was, "frequency ", theirs.frequencyHz(), ours.frequencyHz());
        differs(is, was, "on loss ", theirs.onLoss(), ours.onLoss());
        differs(is, was, "display ", theirs.display(), ours.display());
        differs(is, was, "channel ", theirs.channel(), ours.channel());
        if (!is.isEmpty()) {
            drift.add(new Drift(
                    unit.placement().key(),
                    Attribute.MENU,
                    "%s’s menu has %s, record %s.".formatted(name(unit), String.join(", ", is), String.join(", ", was)),
                    theirs,
                    null,
                    true));
        }
    }

    private static void differs(
            List<String> is, List<String> was, String name, @Nullable Object theirs, @Nullable Object ours) {
        if (ours != null && theirs != null && !ours.equals(theirs)) {
            is.add(name + word(theirs));
            was.add(word(ours));
        }
    }

    private static String word(Object value) {
        return value instanceof Boolean on
                ? on ? "on" : "off"
                : value instanceof Double number
                        ? Numbers.plain(number)
                        : value.toString().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static void levels(List<Drift> drift, PatchedUnit unit, Mode mode, UnitAnswer answer, double steps) {
        String key = unit.placement().key();
        FixtureValues ours = unit.values();
        FixtureValues theirs = answer.dialled();
        Ranges ranges = Ranges.of(unit.placement().piece());
        double level = theirs.levelPercent();
        if (!near(
                level,
                ours.levelPercent(),
                Percent.ofFraction(step(mode, Parameter.LEVEL)).value(),
                steps)) {
            SetStatus standing = ours.levelPercent() == 0 && level > 0
                    ? SetStatus.ON
                    : ours.levelPercent() > 0 && level == 0 ? new SetStatus(SetStatus.State.OFF) : null;
            String sentence = answer.warmingUp() ? "%s is warming up: at %s, record %s." : "%s is at %s, record %s.";
            int decimals = percent(level, 1).equals(percent(ours.levelPercent(), 1)) ? FINE_DECIMALS : 1;
            drift.add(new Drift(
                    key,
                    Attribute.LEVEL,
                    sentence.formatted(name(unit), percent(level, decimals), percent(ours.levelPercent(), decimals)),
                    level == 0 ? null : new Level(rounded(level, decimals)),
                    standing,
                    true));
        }
        if (ours.levelPercent() == 0) {
            return;
        }
        if (theirs.kelvin() != null
                && ours.kelvin() != null
                && !near(theirs.kelvin(), ours.kelvin(), ranges.kelvin().span() * step(mode, Parameter.CCT), steps)) {
            drift.add(new Drift(
                    key,
                    Attribute.CCT,
                    "%s is dialled to %.0f K, record %.0f K.".formatted(name(unit), theirs.kelvin(), ours.kelvin()),
                    new ColourTemperature(rounded(theirs.kelvin(), 0)),
                    null,
                    true));
        }
        if (mode.listensTo(Parameter.TINT)
                && !near(theirs.duv(), ours.duv(), ranges.duv().span() * step(mode, Parameter.TINT), steps)) {
            drift.add(new Drift(
                    key,
                    Attribute.TINT,
                    "%s has tint %s, record %s."
                            .formatted(
                                    name(unit), new Tint(rounded(theirs.duv(), 4)).say(), new Tint(ours.duv()).say()),
                    new Tint(rounded(theirs.duv(), 4)),
                    null,
                    true));
        }
        if ((mode.listensTo(Parameter.HUE) || mode.listensTo(Parameter.RED))
                && !sameColour(theirs.colour(), ours.colour(), steps / BYTE)) {
            Colour seen = new Colour(
                    rounded(theirs.colour().hueDeg(), 0),
                    rounded(theirs.colour().saturationPercent(), 0));
            drift.add(new Drift(
                    key,
                    Attribute.COLOUR,
                    "%s is %s, record %s."
                            .formatted(name(unit), seen.say(), ours.colour().say()),
                    seen,
                    null,
                    true));
        }
        if (mode.listensTo(Parameter.EFFECT)
                && (theirs.effect().kind() != ours.effect().kind()
                        || (mode.listensTo(Parameter.RATE)
                                && !near(
                                        theirs.effect().rateHz(),
                                        ours.effect().rateHz(),
                                        Effect.FASTEST_HZ * step(mode, Parameter.RATE),
                                        steps)))) {
            Effect seen = new Effect(
                    theirs.effect().kind(),
                    Math.max(LEAST_RATE_HZ, rounded(theirs.effect().rateHz(), 1)));
            drift.add(new Drift(
                    key,
                    Attribute.EFFECT,
                    "%s runs %s, record %s."
                            .formatted(
                                    name(unit),
                                    seen.runs() ? seen.say() : "no effect",
                                    ours.effect().runs() ? ours.effect().say() : "no effect"),
                    seen,
                    null,
                    true));
        }
    }

    private static boolean sameColour(Colour one, Colour other, double tolerance) {
        return Math.abs(one.leaves().red() - other.leaves().red()) <= tolerance + SLACK
                && Math.abs(one.leaves().green() - other.leaves().green()) <= tolerance + SLACK
                && Math.abs(one.leaves().blue() - other.leaves().blue()) <= tolerance + SLACK;
    }

    private static boolean near(double one, double other, double step, double steps) {
        return Math.abs(one - other) <= step * steps + SLACK;
    }

    /** One step of a parameter in a mode, as a part of its range. */
    private static double step(Mode mode, Parameter parameter) {
        return 1.0 / (mode.channels().stream().anyMatch(c -> c.parameter() == parameter && c.fine()) ? WORD : BYTE);
    }

    private static double rounded(double value, int decimals) {
        double of = Math.pow(10, decimals);
        return Math.round(value * of) / of;
    }

    private static String percent(double level, int decimals) {
        return Numbers.plain(rounded(level, decimals)) + " %";
    }

    private static String name(PatchedUnit unit) {
        return unit.placement().name();
    }
}
