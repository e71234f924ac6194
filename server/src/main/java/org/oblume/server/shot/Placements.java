package org.oblume.server.shot;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Confirmations;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.caution.Caution;
import org.oblume.core.caution.Cautions;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.LightMix;
import org.oblume.core.complete.Completeness;
import org.oblume.core.complete.Finding;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.geometry.Taped;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SourceColour;
import org.oblume.core.network.Mode;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.rebuild.BuildOrder;
import org.oblume.core.rebuild.RebuildSheet;

/** Maps what {@code core} resolves of a shot to what crosses the wire. */
final class Placements {

    private final SceneRecord scene;
    private final ShotState state;
    private final Map<String, Map<Attribute, Long>> revisions = new HashMap<>();
    private final Map<String, Long> versions = new HashMap<>();
    private final CameraWhite white;
    private final Confirmations looked;
    private final BuildOrder order;
    private final Map<String, List<Finding>> findings = new HashMap<>();

    /** As a shot is recorded. */
    Placements(RecordedShot shot) {
        this(shot, shot.record(), shot.state());
    }

    /**
     * As a shot would be.
     *
     * @param shot as it is recorded: revisions and versions are its
     */
    Placements(RecordedShot shot, SceneRecord scene, ShotState state) {
        this.scene = scene;
        this.state = state;
        shot.scene().revisions(shot.shot().id()).forEach((value, revision) -> revisions
                .computeIfAbsent(shot.scene().key(value.placementId()), key -> new EnumMap<>(Attribute.class))
                .put(value.attribute(), revision));
        shot.scene().placed().forEach(p -> versions.put(p.placement().key(), p.version()));
        this.looked = shot.scene().confirmations();
        this.order = shot.scene().scene().heading().buildOrder();
        Completeness completeness =
                scene == shot.record() ? shot.scene().completeness(shot) : Completeness.of(scene, state, looked, order);
        completeness.things().forEach(t -> findings.put(t.placement().key(), t.findings()));
        this.white = ShotLighting.white(scene.placements(), state).camera();
    }

    List<PlacedView> views() {
        return scene.placements().stream().map(this::view).toList();
    }

    PlacedView view(Placement placement) {
        String key = placement.key();
        Map<Attribute, PlacedView.ValueView> values = new EnumMap<>(Attribute.class);
        state.knots(key).forEach(knot -> values.put(knot.attribute(), held(key, knot)));
        return new PlacedView(
                placement,
                versions.getOrDefault(key, 0L),
                state.isOnSet(key),
                Arrays.stream(Attribute.values())
                        .filter(placement.kind()::records)
                        .toList(),
                values,
                revisions.getOrDefault(key, Map.of()),
                placement.kind().shines() || placement.kind().records(Attribute.MODIFIERS) ? light(placement) : null,
                state.aim(key).map(aim -> aimed(key, aim)).orElse(null),
                RebuildSheet.tapes(scene.set(), state, key)
                        .map(pair -> tapes(pair, RebuildSheet.ownTapes(scene.set(), state, key)))
                        .orElse(null),
                state.value(key, Place.class)
                        .map(Place::measured)
                        .filter(m -> m.standsIn(scene.set().landmarks()))
                        .map(Measured::phrase)
                        .orElse(null),
                state.value(key, Lens.class)
                        .map(lens -> lens.viewDeg(placement.piece().widthM()))
                        .orElse(null),
                order.rank(placement.role()),
                findings.containsKey(key),
                findings.getOrDefault(key, List.of()).stream()
                        .map(PlacedView.FindingView::of)
                        .toList(),
                state.isOnSet(key) ? cautions(placement) : List.of());
    }

    /** What is to be minded while it stands; what is minded as it is carried is told where it is. */
    private List<String> cautions(Placement placement) {
        return Cautions.of(placement, state).stream()
                .filter(c -> c.kind().isWhileItStands())
                .map(Caution::sentence)
                .toList();
    }

    private PlacedView.ValueView held(String key, Knot knot) {
        Attribution tie = knot.attribution();
        return new PlacedView.ValueView(
                knot.value(),
                scene.named(knot.value()).phrase(),
                typed(key, knot.value()).typed(),
                knot.value().brief(),
                knot.slate(),
                state.tiedHere(knot),
                tie.reason(),
                tie.note(),
                tie.author(),
                tie.at(),
                looked.here(state, key, knot.attribute())
                        .map(c -> new PlacedView.Looked(c.author(), c.at()))
                        .orElse(null));
    }

    /** An aim at a mark is typed over as the bearing that it has from where the thing stands. */
    private AttributeValue typed(String key, AttributeValue value) {
        return value instanceof AimSetting
                ? state.aim(key)
                        .<AttributeValue>map(
                                aim -> AimSetting.along(aim.bearing().degrees(), aim.tiltDeg()))
                        .orElse(value)
                : value;
    }

    private PlacedView.LightSummary light(Placement placement) {
        String key = placement.key();
        Modifiers stack = state.value(key, Modifiers.class).orElse(Modifiers.NONE);
        FilterEffect whole = stack.effect();
        List<Mode> modes = Mode.of(placement.piece());
        Optional<LightMix> leaves =
                placement.kind().shines() ? SourceColour.leaving(placement, state) : Optional.empty();
        Optional<ColourReading> behind = leaves.map(LightMix::reading).filter(ColourReading::isWhite);
        @Nullable
        String problem = !placement.kind().shines()
                ? "Light passes it."
                : leaves.isEmpty() ? "Its colour temperature is not recorded." : null;
        return new PlacedView.LightSummary(
                leaves.map(light -> light.seenBy(white).hex()).orElse(null),
                behind.map(ColourReading::kelvin).orElse(null),
                behind.map(ColourReading::duv).orElse(null),
                whole.stops().inThirds(),
                whole.mired().print(),
                stack.items().stream().map(Placements::effect).toList(),
                stack.soften(),
                problem,
                modes.stream().map(Mode::name).toList(),
                modes.stream().anyMatch(Mode::isToldAHue));
    }

    private static PlacedView.ModifierCost effect(Modifier item) {
        return new PlacedView.ModifierCost(
                item.effect().stops().inThirds(), item.effect().mired().print());
    }

    private PlacedView.AimView aimed(String key, Aim aim) {
        String mark = state.value(key, AimSetting.class)
                .map(AimSetting::mark)
                .map(m -> scene.placement(m).name())
                .orElse(null);
        return new PlacedView.AimView(
                aim.bearing().degrees(), aim.bearing().print(), aim.tiltDeg(), aim.distanceM(), mark);
    }

    private static PlacedView.Tapes tapes(TapePair pair, Optional<Taped> own) {
        return new PlacedView.Tapes(
                PlacedView.TapeView.of(pair.a().name(), pair.a().point(), pair.distanceAM()),
                PlacedView.TapeView.of(pair.b().name(), pair.b().point(), pair.distanceBM()),
                pair.side(),
                pair.crossingAngleDeg(),
                pair.crossing(),
                own.map(Taped::checks).orElse(List.of()).stream()
                        .map(t ->
                                PlacedView.TapeView.of(t.from().name(), t.from().point(), t.lengthM()))
                        .toList(),
                own.isPresent());
    }
}
