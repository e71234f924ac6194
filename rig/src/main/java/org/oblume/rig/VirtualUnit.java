package org.oblume.rig;

import java.util.EnumSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.FixtureValues;
import org.oblume.core.network.Mode;
import org.oblume.core.network.UnitAnswer;
import org.oblume.core.network.UniverseFrame;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Menu;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Refusal;

/** One virtual fixture: what it is set to, what it hears, what it stands at. Not safe for several threads; the rig sees to that. */
final class VirtualUnit {

    private static final double NANOS = 1e9;

    private final UnitSpec spec;
    private Mode mode;
    private int universe;
    private int address;
    private Menu menu;
    private boolean powered = true;
    private boolean linked = true;
    private @Nullable Double knobPercent;
    private long poweredAt;
    private @Nullable FixtureValues held;
    private boolean hears;
    private final Set<Fault.Kind> faults = EnumSet.noneOf(Fault.Kind.class);

    /** @param now nanoseconds of the rig's clock; it has burned long enough to be warm */
    VirtualUnit(UnitSpec spec, long now) {
        this.spec = spec;
        mode = spec.modeNamed(spec.mode());
        universe = spec.universe();
        address = spec.address();
        menu = spec.menu();
        poweredAt = now - Math.round(spec.warmUpSeconds() * NANOS);
    }

    String name() {
        return spec.unit();
    }

    int universe() {
        return universe;
    }

    /** The slots of its universe as they come in now; null when nothing does. */
    void hear(byte @Nullable [] slots) {
        hears = powered && linked && slots != null;
        if (hears && slots != null) {
            held = FixtureValues.from(UniverseFrame.decode(slots, address, mode), spec.ranges());
        }
    }

    void set(UnitSpec.Settings settings) {
        Mode wanted = settings.mode() == null ? mode : spec.modeNamed(settings.mode());
        if (!powered || !linked) {
            throw new Refusal(
                    "unit",
                    "%s does not answer: %s.".formatted(name(), powered ? "its link is lost" : "it has no power"));
        }
        mode = wanted;
        universe = settings.universe() == null ? universe : settings.universe();
        address = settings.address() == null ? address : settings.address();
        menu = settings.menu() == null ? menu : over(menu, settings.menu());
        if (Boolean.FALSE.equals(settings.local())) {
            knobPercent = null;
            faults.remove(Fault.Kind.KNOB);
        }
        faults.removeIf(f -> (f == Fault.Kind.WRONG_MODE && settings.mode() != null)
                || (f == Fault.Kind.WRONG_ADDRESS && settings.address() != null)
                || (f == Fault.Kind.CURVE_RESET
                        && settings.menu() != null
                        && settings.menu().curve() != null));
        held = null;
    }

    private static Menu over(Menu now, Menu wanted) {
        return new Menu(
                or(wanted.curve(), now.curve()),
                or(wanted.smoothing(), now.smoothing()),
                or(wanted.fan(), now.fan()),
                or(wanted.output(), now.output()),
                or(wanted.frequencyHz(), now.frequencyHz()),
                or(wanted.onLoss(), now.onLoss()),
                or(wanted.display(), now.display()),
                or(wanted.channel(), now.channel()));
    }

    private static <T> @Nullable T or(@Nullable T one, @Nullable T other) {
        return one == null ? other : one;
    }

    void fail(Fault fault) {
        switch (fault.kind()) {
            case WRONG_MODE -> mode = spec.modeNamed(fault.mode() == null ? otherMode() : fault.mode());
            case WRONG_ADDRESS -> {
                universe = fault.universe() == null ? universe : fault.universe();
                address = fault.address() == null ? address % 500 + 7 : fault.address();
            }
            case KNOB -> knobPercent = fault.percent() == null ? 62 : fault.percent();
            case NO_POWER -> powered = false;
            case CURVE_RESET ->
                menu = over(
                        menu,
                        new Menu(
                                menu.curve() == LevelCurve.SQUARE ? LevelCurve.LINEAR : LevelCurve.SQUARE,
                                null,
                                null,
                                null,
                                null,
                                null,
                                null,
                                null));
            case LOST_LINK -> linked = false;
        }
        faults.add(fault.kind());
    }

    private String otherMode() {
        return Mode.parse(spec.modes()).stream()
                .map(Mode::name)
                .filter(n -> !n.equals(mode.name()))
                .findFirst()
                .orElseThrow(() -> new Refusal("mode", "%s has one mode only.".formatted(name())));
    }

    /** Someone puts it right at the head: all that failed is as it was hung. */
    void clearFaults(long now) {
        if (!powered) {
            poweredAt = now;
            held = null;
        }
        mode = spec.modeNamed(spec.mode());
        universe = spec.universe();
        address = spec.address();
        menu = spec.menu();
        powered = true;
        linked = true;
        knobPercent = null;
        faults.clear();
    }

    Set<Fault.Kind> faults() {
        return Set.copyOf(faults);
    }

    UnitAnswer answer(long now) {
        boolean warmingUp = powered && now - poweredAt < spec.warmUpSeconds() * NANOS;
        return new UnitAnswer(
                name(), powered, linked, hears, mode.name(), universe, address, stands(), menu, warmingUp);
    }

    private FixtureValues stands() {
        FixtureValues dialled = held;
        boolean dark = !powered || dialled == null || (!hears && menu.onLoss() == Menu.OnLoss.BLACK);
        if (dark || dialled == null) {
            return new FixtureValues(0, null, 0, Colour.WHITE, null, Effect.NONE);
        }
        double level = knobPercent == null ? dialled.levelPercent() : knobPercent;
        return new FixtureValues(
                level == 0 ? 0 : Math.max(level, spec.lowestPercent()),
                dialled.kelvin(),
                dialled.duv(),
                dialled.colour(),
                dialled.beamDeg(),
                dialled.effect());
    }

    /** Part of its full light that it gives, in percent: by its curve, and by how warm it is (model: evenly). */
    double outputPercent(long now) {
        double warm = spec.warmUpSeconds() == 0 ? 1 : Math.min(1, (now - poweredAt) / (spec.warmUpSeconds() * NANOS));
        LevelCurve curve = menu.curve() == null ? LevelCurve.LINEAR : menu.curve();
        return Percent.ofFraction(
                        curve.output(Percent.of(stands().levelPercent()).fraction()) * warm)
                .value();
    }
}
