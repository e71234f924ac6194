package org.oblume.server.light;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.exposure.ContrastRatio;
import org.oblume.core.hint.Hint;
import org.oblume.core.hint.Hints;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.Ratio;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SourceColour;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.light.Touched;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.White;
import org.oblume.core.rebuild.BuildOrder;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Stops;

/** Maps the light that {@code core} computes to what crosses the wire. */
final class Lights {

    private static final double PER_LUX = 1e4;
    /** A filament is told to be dimmed from this on. */
    private static final double TELLS_MIRED = 0.5;

    private final SetPlan set;
    private final List<Placement> placements;
    private final RecordedState state;
    private final ShotLighting light;
    private final White recordedWhite;
    private final CameraWhite white;
    private final List<Placement> inOrder;
    /** Place of each source in the light's order, by key. */
    private final Map<String, Integer> indexes = new HashMap<>();

    private final Set<String> out;

    /** @param out keys of lights that are taken as off */
    Lights(
            SetPlan set,
            List<Placement> placements,
            RecordedState state,
            ShotLighting light,
            BuildOrder order,
            Set<String> out) {
        this.set = set;
        this.placements = placements;
        this.state = state;
        this.light = light;
        this.recordedWhite = ShotLighting.white(placements, state);
        this.white = recordedWhite.camera();
        this.out = out;
        List<Placement> sources = light.lights();
        for (int i = 0; i < sources.size(); i++) {
            indexes.put(sources.get(i).key(), i);
        }
        this.inOrder = placements.stream()
                .filter(p ->
                        indexes.containsKey(p.key()) || light.unknown().containsKey(p.key()) || out.contains(p.key()))
                .sorted(Comparator.comparingInt(p -> order.rank(p.role())))
                .toList();
    }

    LightView view() {
        return new LightView(
                light.metering().map(this::metered).orElse(null),
                inOrder.stream().map(this::shining).toList(),
                light.marks().stream().map(this::atMark).toList(),
                Hints.of(set, placements, light).stream().map(this::worth).toList());
    }

    private LightView.Metered metered(ShotLighting.Metering metering) {
        return new LightView.Metered(
                metering.exposure().required(metering.stop()).lux(),
                metering.stop().label(),
                recordedWhite.kelvin(),
                recordedWhite.duv());
    }

    private LightView.SourceView shining(Placement placement) {
        List<LightView.ModifierEffect> path = path(placement);
        return new LightView.SourceView(
                placement.key(),
                placement.name(),
                placement.role(),
                placement.group(),
                colour(placement),
                headroom(placement),
                light.unknown().get(placement.key()),
                out.contains(placement.key()),
                path);
    }

    private @Nullable String colour(Placement placement) {
        return SourceColour.leaving(placement, state)
                .map(light -> light.seenBy(white).hex())
                .orElse(null);
    }

    /** From what is dialled by the filament's own warmth through each modifier, as far as it is a white. */
    private List<LightView.ModifierEffect> path(Placement placement) {
        Optional<SourceColour> source = SourceColour.of(placement, state);
        if (source.isEmpty()) {
            return List.of();
        }
        SourceColour lamp = source.get();
        double dialledMired = state.value(placement.key(), ColourTemperature.class)
                .map(dialled -> Kelvin.MIRED_PRODUCT / dialled.kelvin())
                .orElse(lamp.mired());
        List<LightView.ModifierEffect> path = new ArrayList<>();
        path.add(new LightView.ModifierEffect("dialled", Kelvin.MIRED_PRODUCT / dialledMired, lamp.duv(), 0));
        if (lamp.mired() - dialledMired > TELLS_MIRED) {
            path.add(new LightView.ModifierEffect(
                    "dimmed", Kelvin.MIRED_PRODUCT / lamp.mired(), lamp.duv(), lamp.mired() - dialledMired));
        }
        for (SourceColour.Step step : lamp.steps(state.value(placement.key(), Modifiers.class)
                .orElse(Modifiers.NONE)
                .items())) {
            ColourReading behind = step.behind().reading();
            if (!behind.isWhite()) {
                break;
            }
            path.add(new LightView.ModifierEffect(
                    step.item().name(),
                    behind.kelvin(),
                    behind.duv(),
                    step.item().miredShift()));
        }
        return path;
    }

    private @Nullable Double headroom(Placement placement) {
        Lamp lamp = placement.piece().lamp();
        double level = state.level(placement.key());
        return lamp == null || !(lamp.curve().output(level) > 0)
                ? null
                : Double.valueOf(lamp.curve().headroom(level).value());
    }

    private LightView.AtMark atMark(MarkLight mark) {
        Placement placement = placements.stream()
                .filter(p -> p.key().equals(mark.key()))
                .findFirst()
                .orElseThrow();
        Ratio ratio = light.ratio(mark);
        List<LightView.SourceAtMarkView> from = new ArrayList<>();
        for (Placement source : inOrder) {
            Integer i = indexes.get(source.key());
            if (i != null) {
                from.add(fromOne(mark, i, source));
            }
        }
        return new LightView.AtMark(
                mark.key(),
                placement.name(),
                mark.face().xM(),
                mark.face().yM(),
                mark.face().zM(),
                mark.facing().degrees(),
                mark.leftIsLit(),
                Phrase.of(Illuminance.ofLux(mark.lit().lux())),
                side(mark.lit()),
                side(mark.shadow()),
                mark.background() == null ? null : side(mark.background()),
                stop(mark.lit()),
                twoToOne(ratio.litToShadow()),
                twoToOne(ratio.keyToFill()),
                from);
    }

    private LightView.SourceAtMarkView fromOne(MarkLight mark, int i, Placement source) {
        MarkLight.SourceAtMark one = mark.sources().get(i);
        double lit = mark.lit().luxOfEach().get(i);
        double shadow = mark.shadow().luxOfEach().get(i);
        SurfaceLight background = mark.background();
        MarkLight.Through through = one.through();
        return new LightView.SourceAtMarkView(
                source.key(),
                onSide(lit),
                onSide(shadow),
                background == null ? null : onSide(background.luxOfEach().get(i)),
                onSide(one.facingLux()),
                Phrase.of(Illuminance.ofLux(one.facingLux())),
                one.from().degrees(),
                one.elevationDeg(),
                one.distanceM(),
                one.distanceM() == null ? null : Phrase.of(Length.ofMetres(one.distanceM())),
                one.angularSizeDeg(),
                one.penumbraM() == null ? null : Phrase.width(one.penumbraM()),
                through == null
                        ? null
                        : new LightView.ThroughOpening(
                                through.opening(),
                                Phrase.metres(through.awayM()),
                                through.fanDeg(),
                                Phrase.width(through.edgePenumbraM()),
                                through.parallel()),
                one.straight(),
                one.allAround());
    }

    LightView.CheekView side(SurfaceLight falling) {
        LightView.OnSide on = onSide(falling.lux());
        return falling.mix() == null
                ? new LightView.CheekView(0, null, null, null, null)
                : new LightView.CheekView(
                        on.lux(),
                        on.overStops(),
                        falling.mix().reading().isWhite()
                                ? falling.mix().reading().kelvin()
                                : null,
                        falling.mix().reading().isWhite()
                                ? falling.mix().reading().duv()
                                : null,
                        falling.mix().seenBy(white).hex());
    }

    LandingView landing(Touched touched) {
        SurfaceLight falling = light.falling(touched.at(), touched.normal());
        List<Placement> sources = light.lights();
        List<LandingView.Landed> from = new ArrayList<>();
        for (int i = 0; i < sources.size(); i++) {
            double lux = falling.luxOfEach().get(i);
            if (lux > 0) {
                from.add(new LandingView.Landed(
                        sources.get(i).key(), sources.get(i).name(), onSide(lux), lux / falling.lux()));
            }
        }
        from.sort(Comparator.comparingDouble(LandingView.Landed::part).reversed());
        Phrase place = Phrase.format(
                "%s right, %s up the plan",
                Phrase.metres(touched.at().xM()), Phrase.metres(touched.at().yM()));
        return new LandingView(
                touched.on(),
                touched.name(),
                touched.at().xM(),
                touched.at().yM(),
                touched.at().zM(),
                touched.at().zM() > 0
                        ? Phrase.format(
                                "%s, %s high", place, Phrase.metres(touched.at().zM()))
                        : place,
                Phrase.of(Illuminance.ofLux(falling.lux())),
                stop(falling),
                side(falling),
                from);
    }

    private @Nullable String stop(SurfaceLight falling) {
        return light.metering()
                .filter(m -> falling.lux() > 0)
                .map(m -> m.exposure().stop(Illuminance.ofLux(falling.lux())).label())
                .orElse(null);
    }

    LightView.OnSide onSide(double lux) {
        double told = Math.round(lux * PER_LUX) / PER_LUX;
        return new LightView.OnSide(
                told, light.metering().map(m -> m.over(told)).map(Stops::value).orElse(null));
    }

    private static LightView.@Nullable TwoToOne twoToOne(@Nullable ContrastRatio ratio) {
        return ratio == null
                ? null
                : new LightView.TwoToOne(ratio.ratio(), ratio.stops().value());
    }

    private LightView.HintView worth(Hint hint) {
        String name = placements.stream()
                .filter(p -> p.key().equals(hint.placement()))
                .findFirst()
                .orElseThrow()
                .name();
        return new LightView.HintView(
                hint.kind(),
                hint.kind().label(),
                hint.placement(),
                name,
                hint.urgent(),
                hint.title(),
                hint.reason(),
                hint.at() == null ? null : hint.at().xM(),
                hint.at() == null ? null : hint.at().yM(),
                hint.onPurpose());
    }
}
