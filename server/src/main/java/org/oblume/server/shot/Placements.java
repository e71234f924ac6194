package org.oblume.server.shot;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Recording;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Tie;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.LightColour;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.light.ShotLight;
import org.oblume.core.network.Mode;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Dial;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Pointing;
import org.oblume.core.plot.Tint;
import org.oblume.core.rebuild.RebuildSheet;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

/** Maps what {@code core} resolves of a shot to what crosses the wire. */
final class Placements {

    private final Recording recording;
    private final ShotState state;
    private final Map<String, Map<Attribute, Long>> revisions;
    private final Map<String, Long> versions;
    private final CameraWhite white;

    /**
     * @param revisions of the shot's own values, by placement key and attribute
     * @param versions of the placements' cards, by key
     */
    Placements(Recording recording, ShotState state, Map<String, Map<Attribute, Long>> revisions, Map<String, Long> versions) {
        this.recording = recording;
        this.state = state;
        this.revisions = revisions;
        this.versions = versions;
        this.white = ShotLight.white(recording.placements(), state).camera();
    }

    List<PlacedView> views() {
        return recording.placements().stream().map(this::view).toList();
    }

    PlacedView view(Placement placement) {
        String key = placement.key();
        Map<Attribute, PlacedView.Held> values = new EnumMap<>(Attribute.class);
        state.knots(key).forEach(knot -> values.put(knot.attribute(), held(knot)));
        return new PlacedView(placement, versions.getOrDefault(key, 0L), state.stands(key),
                Arrays.stream(Attribute.values()).filter(placement.kind()::records).toList(), values,
                revisions.getOrDefault(key, Map.of()), placement.kind().shines() || placement.kind().records(Attribute.MODIFIERS) ? light(placement) : null, state.aim(key).map(aim -> aimed(key, aim)).orElse(null),
                RebuildSheet.tapes(recording.set(), state, key).map(Placements::tapes).orElse(null),
                state.value(key, Lens.class).map(lens -> lens.viewDeg(placement.piece().widthM())).orElse(null));
    }

    private PlacedView.Held held(Knot knot) {
        Tie tie = knot.tie();
        AttributeValue named = named(knot.value());
        return new PlacedView.Held(knot.value(), named.say(), named.sayImperial(), knot.slate(), state.tiedHere(knot),
                tie.reason(), tie.note(), tie.author(), tie.at());
    }

    /** An aim with its mark called as the crew calls it. */
    private AttributeValue named(AttributeValue value) {
        return value instanceof Pointing pointing && pointing.mark() != null
                ? Pointing.atMark(recording.placement(pointing.mark()).name(), pointing.heightM()) : value;
    }

    private PlacedView.Light light(Placement placement) {
        String key = placement.key();
        Modifiers stack = state.value(key, Modifiers.class).orElse(Modifiers.NONE);
        FilterEffect whole = stack.effect();
        List<Mode> modes = Mode.of(placement.piece());
        @Nullable LightColour colour = null;
        @Nullable String problem = null;
        try {
            if (!placement.kind().shines()) {
                throw new Refusal("Light passes it.");
            }
            double kelvin = state.value(key, Dial.class).map(Dial::kelvin)
                    .orElseThrow(() -> new Refusal("Its colour temperature is not recorded."));
            colour = state.value(key, Colour.class).orElse(Colour.WHITE)
                    .on(stack.colour(Kelvin.of(kelvin), Duv.of(state.value(key, Tint.class).map(Tint::duv).orElse(0.0))));
        } catch (Refusal refusal) {
            problem = refusal.getMessage();
        }
        return new PlacedView.Light(colour == null ? null : white.swatch(colour).hex(),
                colour == null ? null : colour.white().kelvin().value(),
                colour == null ? null : colour.white().duv().value(),
                whole.stops().inThirds(), whole.mired().print(), stack.items().stream().map(Placements::effect).toList(),
                stack.soften(), problem, state.value(key, Effect.class).map(Effect::caution).orElse(null), modes.stream().map(Mode::name).toList(), modes.stream().anyMatch(Mode::isToldAHue));
    }

    private static PlacedView.Costs effect(Modifier item) {
        return new PlacedView.Costs(item.effect().stops().inThirds(), item.effect().mired().print());
    }

    private PlacedView.Aimed aimed(String key, Aim aim) {
        String mark = state.value(key, Pointing.class).map(Pointing::mark).map(m -> recording.placement(m).name())
                .orElse(null);
        return new PlacedView.Aimed(aim.bearing().degrees(), aim.bearing().print(), aim.tiltDeg(), aim.distanceM(), mark);
    }

    private static PlacedView.Tapes tapes(TapePair pair) {
        return new PlacedView.Tapes(PlacedView.Tape.of(pair.a().name(), pair.a().point(), pair.distanceAM()),
                PlacedView.Tape.of(pair.b().name(), pair.b().point(), pair.distanceBM()), pair.side(),
                pair.crossingAngleDeg(), pair.crossing());
    }
}
