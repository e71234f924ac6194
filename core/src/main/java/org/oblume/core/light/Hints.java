package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotState;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.OnPurpose;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Restriction;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Length;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Stops;

/** What is worth a look in a shot. Each rule is one method; the figures it judges by are models and stand at the top. */
public final class Hints {

    /** Less than this is no more than the edge of a frame line, metres. */
    private static final double LEAST_IN_FRAME_M = 0.01;

    private static final double FULL_FROM_PERCENT = 99.5;
    /** Spill this much of the peak on the lens can flare. */
    private static final double FLARE_PART = 0.15;
    /** A reflection this near to a source shows it in a lens of the glasses, degrees, beside its own half angle. */
    private static final double GLASSES_WITHIN_DEG = 6;
    /** A nose shadow is seen from a source this far from straight ahead. */
    private static final double NOSE_FROM_DEG = 10;

    private static final double NOSE_TO_DEG = 75;
    private static final double SHADOWS_WITHIN_STOPS = 1.5;
    /** From behind, a light reaches round to the nose up to here. */
    private static final double NOSE_TIP_DEG = 115;

    private static final double BESIDE_DEG = 80;
    /** A source counts for the colour at the mark from this part of the light on both cheeks on. */
    private static final double COLOUR_PART = 0.1;

    private static final double MIXED_KELVIN = 200;
    private static final double MIXED_DUV = 0.006;
    /** A person within this of the plumb line of an overhead unit is under it, metres. */
    private static final double UNDER_M = 0.8;

    private final SetPlan set;
    private final List<Placement> placements;
    private final ShotLighting light;
    private final ShotState state;
    private final @Nullable CameraFrame frame;
    private final List<Hint> hints = new ArrayList<>();

    private Hints(SetPlan set, List<Placement> placements, ShotLighting light) {
        this.set = set;
        this.placements = placements;
        this.light = light;
        this.state = light.state();
        this.frame = placements.stream()
                .filter(p -> p.kind() == PlacementKind.CAMERA && state.isOnSet(p.key()))
                .findFirst()
                .flatMap(c -> CameraFrame.of(c, state))
                .orElse(null);
    }

    /** Everything worth a look, what is to be acted on first. */
    public static List<Hint> of(SetPlan set, List<Placement> placements, ShotLighting light) {
        Hints all = new Hints(set, placements, light);
        for (Placement placement : placements) {
            if (all.state.isOnSet(placement.key())) {
                all.look(placement);
            }
        }
        light.marks().forEach(all::lookAt);
        return all.hints.stream()
                .sorted((a, b) -> Boolean.compare(b.urgent(), a.urgent()))
                .toList();
    }

    private void look(Placement placement) {
        state.position(placement.key()).ifPresent(at -> {
            if (placement.kind().isLight() || placement.kind().isGrip()) {
                inFrame(placement, at);
                restricted(placement, at);
                overhead(placement, at);
            }
            if (placement.kind().isLight()) {
                headroom(placement);
                burnPosition(placement);
                nearCloth(placement, at);
                flare(placement, at);
            }
        });
    }

    private void lookAt(MarkLight mark) {
        Placement person = placement(mark.key());
        if (person.piece().what().toLowerCase(Locale.ROOT).contains("glasses")) {
            glasses(mark, person);
        }
        noseShadows(mark);
        kicker(mark);
        mixedColour(mark, person);
    }

    /** A head, its stand or a flag inside the view and not behind a wall. */
    private void inFrame(Placement placement, SpacePoint at) {
        if (frame == null || placement.kind() == PlacementKind.PRACTICAL) {
            return;
        }
        double half = placement.piece().tallM() / 2;
        List<SpacePoint> points = new ArrayList<>(
                List.of(at.onPlan().at(at.zM() + half), at, at.onPlan().at(at.zM() - half)));
        if (placement.piece().mount() == Mount.STAND) {
            points.add(at.onPlan().at(at.zM() / 2));
            points.add(at.onPlan().at(0.05));
        }
        double side = placement.piece().widthM() / 2;
        Direction across = frame.right();
        Direction along = state.aim(placement.key())
                .map(a -> Direction.of(Bearing.ofDegrees(a.bearing().degrees() + 90), 0))
                .orElse(across);
        double deepest = 0;
        CameraFrame.@Nullable Seen worst = null;
        for (SpacePoint point : points) {
            for (double shift : new double[] {-side, side}) {
                SpacePoint edge = along.from(point, shift);
                CameraFrame.Seen seen = frame.see(edge);
                if (seen != null && seen.inside() && !light.occlusion().wallBetween(frame.lens(), edge)) {
                    double inside = (1 - Math.abs(seen.x())) * frame.widthTan() * seen.depthM();
                    if (worst == null || inside > deepest) {
                        deepest = inside;
                        worst = seen;
                    }
                }
            }
        }
        if (worst != null && deepest > LEAST_IN_FRAME_M) {
            double in = deepest;
            boolean left = worst.x() < 0;
            Bearing out = Bearing.ofDegrees(
                    (left ? across.opposite() : across).bearing().degrees() - set.northDeg());
            add(
                    HintKind.IN_FRAME,
                    placement,
                    true,
                    "%s is %s in frame, %s".formatted(placement.name(), centimetres(in), left ? "left" : "right"),
                    "Clear: %s to the %s.".formatted(centimetres(in + 0.03), compass(out)),
                    at);
        }
    }

    private void headroom(Placement placement) {
        boolean full = state.value(placement.key(), Level.class)
                .map(l -> l.percent() >= FULL_FROM_PERCENT)
                .orElse(false);
        Lamp lamp = placement.piece().lamp();
        boolean dims = lamp == null || lamp.lowestPercent() < FULL_FROM_PERCENT;
        if (full && dims && isOn(placement)) {
            add(
                    HintKind.NO_HEADROOM,
                    placement,
                    false,
                    "%s is at full".formatted(placement.name()),
                    "Nothing is left for a cloth, a gel or a longer throw. Move it closer, or take a stronger unit.",
                    null);
        }
    }

    private void flare(Placement placement, SpacePoint at) {
        Source source = built(placement);
        if (frame == null || source == null || frame.lens().equals(at)) {
            return;
        }
        LightSource straight = source.paths().get(0).light();
        CameraFrame.Seen seen = frame.see(straight.at());
        double off = Math.acos(Math.max(
                -1, Math.min(1, Direction.between(straight.at(), frame.lens()).dot(straight.aim()))));
        boolean spills = straight.distribution().candela(off)
                > FLARE_PART * straight.distribution().candela(0);
        if (seen != null
                && !seen.inside()
                && spills
                && light.occlusion().between(straight.at(), frame.lens(), null).part() > 0) {
            add(
                    HintKind.FLARE,
                    placement,
                    false,
                    "%s spills on the lens".formatted(placement.name()),
                    "It looks into the lens from outside the frame: flag it off the lens, turn it, or narrow its beam.",
                    at);
        }
    }

    private void burnPosition(Placement placement) {
        Lamp lamp = placement.piece().lamp();
        if (lamp != null) {
            state.aim(placement.key())
                    .filter(aim -> !lamp.upkeep().burn().allows(aim.tiltDeg()))
                    .ifPresent(aim -> add(
                            HintKind.BURN_POSITION,
                            placement,
                            true,
                            "%s burns at %s %d°"
                                    .formatted(
                                            placement.name(),
                                            aim.tiltDeg() < 0 ? "down" : "up",
                                            Math.round(Math.abs(aim.tiltDeg()))),
                            "This lamp may run from %s. Tilted further it fails early or comes apart."
                                    .formatted(lamp.upkeep().burn().say()),
                            null));
        }
    }

    private void nearCloth(Placement placement, SpacePoint at) {
        Lamp lamp = placement.piece().lamp();
        if (lamp == null || !isOn(placement)) {
            return;
        }
        double safe = lamp.upkeep().safeDistanceM();
        double nearest = Double.MAX_VALUE;
        String what = "";
        for (var item : state.value(placement.key(), Modifiers.class)
                .orElse(Modifiers.NONE)
                .items()) {
            if (item.frameDistanceM() != null && item.frameDistanceM() < nearest) {
                nearest = item.frameDistanceM();
                what = item.name();
            }
        }
        for (Grip piece : Grip.standing(placements, state)) {
            boolean cloth = piece.kind() == PlacementKind.FRAME
                    || piece.kind() == PlacementKind.CURTAIN
                    || piece.kind() == PlacementKind.BOUNCE;
            double distance = cloth ? toPanel(at, piece) : Double.MAX_VALUE;
            if (distance < nearest) {
                nearest = distance;
                what = placement(piece.key()).name();
            }
        }
        if (nearest < safe) {
            add(
                    HintKind.NEAR_CLOTH,
                    placement,
                    true,
                    "%s is %s from %s".formatted(placement.name(), centimetres(nearest), what),
                    "Keep cloth and gel %s away from this kind of lamp, with air behind it (estimate)."
                            .formatted(Length.ofMetres(safe).printMetric()),
                    at);
        }
    }

    private static double toPanel(SpacePoint at, Grip piece) {
        Direction right = piece.panel().right();
        Direction up = piece.panel().up();
        SpacePoint middle = piece.panel().middle();
        double dx = at.xM() - middle.xM();
        double dy = at.yM() - middle.yM();
        double dz = at.zM() - middle.zM();
        double x = Math.max(
                0,
                Math.abs(dx * right.x() + dy * right.y() + dz * right.z())
                        - piece.panel().widthM() / 2);
        double y = Math.max(
                0,
                Math.abs(dx * up.x() + dy * up.y() + dz * up.z())
                        - piece.panel().heightM() / 2);
        double off = piece.panel().offPlane(at);
        return Math.sqrt(x * x + y * y + off * off);
    }

    private void overhead(Placement placement, SpacePoint at) {
        if (placement.piece().mount() != Mount.OVERHEAD) {
            return;
        }
        for (MarkLight mark : light.marks()) {
            if (mark.face().onPlan().distanceM(at.onPlan())
                            < UNDER_M + placement.piece().widthM() / 2
                    && at.zM() > mark.face().zM()) {
                add(
                        HintKind.UNDER_A_UNIT,
                        placement,
                        true,
                        "%s hangs over %s"
                                .formatted(
                                        placement.name(), placement(mark.key()).name()),
                        "A person under an overhead unit: rated points, safety bond, a qualified rigger; clear the floor while it is worked on.",
                        at);
            }
        }
    }

    private void restricted(Placement placement, SpacePoint at) {
        boolean onTheFloor =
                placement.piece().mount() == Mount.STAND || placement.piece().mount() == Mount.FLOOR;
        for (Restriction restriction : set.restrictions()) {
            List<PlanPoint> outline = restriction.outline();
            if (onTheFloor && restriction.kind() == Restriction.Kind.NO_STANDS && holds(outline, at.onPlan())) {
                add(
                        HintKind.RESTRICTED,
                        placement,
                        true,
                        "%s stands where no stand may".formatted(placement.name()),
                        "The place says: %s.".formatted(restriction.note()),
                        at);
            }
        }
    }

    private static boolean holds(List<PlanPoint> outline, PlanPoint at) {
        if (outline.isEmpty()) {
            return true;
        }
        List<PlanPoint> closed = new ArrayList<>(outline);
        closed.add(outline.get(0));
        return new Walls(List.of(closed), List.of()).encloses(at);
    }

    /** The camera sees a source in a flat upright glass before the eyes (model). */
    private void glasses(MarkLight mark, Placement person) {
        if (frame == null || frame.lens().equals(mark.face())) {
            return;
        }
        Direction facing = Direction.of(mark.facing(), 0);
        Direction toCamera = Direction.between(mark.face(), frame.lens());
        if (toCamera.dot(facing) <= 0) {
            return;
        }
        Direction seen = toCamera.mirrored(facing).opposite();
        for (int i = 0; i < mark.sources().size(); i++) {
            MarkLight.SourceAtMark from = mark.sources().get(i);
            double off = Math.toDegrees(Math.acos(Math.max(
                    -1,
                    Math.min(1, Direction.of(from.from(), from.elevationDeg()).dot(seen)))));
            if (from.distanceM() > 0 && off < GLASSES_WITHIN_DEG + from.angularSizeDeg() / 2) {
                Placement source = light.lights().get(i);
                add(
                        HintKind.GLASSES,
                        source,
                        false,
                        "%s shows in the glasses of %s".formatted(source.name(), person.name()),
                        "At this height and head position the camera sees it reflected. Raise it about %s, or turn the glasses down a little."
                                .formatted(centimetres(from.distanceM()
                                        * Math.tan(Math.toRadians(GLASSES_WITHIN_DEG + from.angularSizeDeg() / 2)))),
                        null);
            }
        }
    }

    private void noseShadows(MarkLight mark) {
        int key = index(mark, Role.KEY);
        int fill = index(mark, Role.FILL);
        if (key < 0 || fill < 0) {
            return;
        }
        double keySide = side(mark, key);
        double fillSide = side(mark, fill);
        double stops = Math.abs(Math.log(mark.sources().get(key).facingLux()
                        / mark.sources().get(fill).facingLux())
                / Math.log(2));
        boolean both = throwsNose(keySide) && throwsNose(fillSide) && keySide * fillSide < 0;
        if (both && stops < SHADOWS_WITHIN_STOPS) {
            Placement source = light.lights().get(fill);
            add(
                    HintKind.NOSE_SHADOWS,
                    source,
                    false,
                    "Nose shadows of %s and %s cross"
                            .formatted(light.lights().get(key).name(), source.name()),
                    "Both throw a shadow of the nose, %s stops apart. Take the fill down or nearer to the camera, or make it larger."
                            .formatted(Stops.of(stops).inTenths()),
                    null);
        }
    }

    private static boolean throwsNose(double side) {
        return Math.abs(side) > NOSE_FROM_DEG && Math.abs(side) < NOSE_TO_DEG;
    }

    private void kicker(MarkLight mark) {
        for (int i = 0; i < mark.sources().size(); i++) {
            Placement source = light.lights().get(i);
            double side = Math.abs(side(mark, i));
            boolean behind = source.role() == Role.EDGE && mark.sources().get(i).straight();
            if (behind && mark.sources().get(i).distanceM() > 0 && side > BESIDE_DEG && side < NOSE_TIP_DEG) {
                add(
                        HintKind.KICKER_ON_NOSE,
                        source,
                        false,
                        "%s reaches the nose of %s"
                                .formatted(source.name(), placement(mark.key()).name()),
                        "It comes from %d° off the way the face looks: from %d° on it stays on cheek and ear."
                                .formatted(Math.round(side), Math.round(NOSE_TIP_DEG)),
                        null);
            }
        }
    }

    private void mixedColour(MarkLight mark, Placement person) {
        double warmest = Double.MAX_VALUE;
        double coolest = 0;
        double greenest = -1;
        double reddest = 1;
        List<String> names = new ArrayList<>();
        double both = mark.lit().lux() + mark.shadow().lux();
        for (int i = 0; i < mark.sources().size(); i++) {
            double its =
                    mark.lit().luxOfEach().get(i) + mark.shadow().luxOfEach().get(i);
            if (its > COLOUR_PART * both && isWhite(light.sources().get(i))) {
                var white =
                        light.sources().get(i).paths().get(0).light().colour().white();
                warmest = Math.min(warmest, white.kelvin().value());
                coolest = Math.max(coolest, white.kelvin().value());
                greenest = Math.max(greenest, white.duv().value());
                reddest = Math.min(reddest, white.duv().value());
                names.add(light.lights().get(i).name());
            }
        }
        if (names.size() > 1 && (coolest - warmest > MIXED_KELVIN || greenest - reddest > MIXED_DUV)) {
            add(
                    HintKind.MIXED_COLOUR,
                    person,
                    false,
                    "Mixed colour on %s".formatted(person.name()),
                    "%s differ by %d K and Duv %s. Gel or dial one to the other, or leave it and say so."
                            .formatted(
                                    String.join(" and ", names),
                                    Math.round(coolest - warmest),
                                    Numbers.fixed(greenest - reddest, 3)),
                    null);
        }
    }

    private static boolean isWhite(Source source) {
        return source.paths().get(0).light().colour().gels().isEmpty();
    }

    private int index(MarkLight mark, Role role) {
        for (int i = 0; i < mark.sources().size(); i++) {
            if (light.lights().get(i).role() == role && mark.sources().get(i).distanceM() > 0) {
                return i;
            }
        }
        return -1;
    }

    /** Degrees off the way the face looks, −180 to 180, to the subject's own right. */
    private static double side(MarkLight mark, int source) {
        return (mark.sources().get(source).from().degrees() - mark.facing().degrees() + 540) % 360 - 180;
    }

    private @Nullable Source built(Placement placement) {
        return light.sources().stream()
                .filter(s -> s.placement().key().equals(placement.key()))
                .findFirst()
                .orElse(null);
    }

    private boolean isOn(Placement placement) {
        return state.value(placement.key(), SetStatus.class)
                .map(s -> s.state() == SetStatus.State.ON)
                .orElse(false);
    }

    private Placement placement(String key) {
        return placements.stream().filter(p -> p.key().equals(key)).findFirst().orElseThrow();
    }

    private void add(
            HintKind kind, Placement placement, boolean act, String title, String reason, @Nullable SpacePoint at) {
        Optional<OnPurpose> meant = state.value(placement.key(), OnPurpose.class);
        hints.add(new Hint(
                kind,
                placement.key(),
                act,
                title,
                reason,
                at,
                meant.map(m -> m.hints().contains(kind)).orElse(false)));
    }

    private static String centimetres(double metres) {
        return metres < 1
                ? "%d cm".formatted(Math.round(metres * 100))
                : Length.ofMetres(metres).printMetric();
    }

    private static String compass(Bearing fromNorth) {
        String[] points = {"north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"};
        return points[(int) Math.round(fromNorth.degrees() / 45) % 8];
    }
}
