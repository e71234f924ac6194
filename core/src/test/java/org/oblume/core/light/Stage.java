package org.oblume.core.light;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Restriction;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Shutter;
import org.oblume.core.plot.Site;
import org.oblume.core.plot.Speed;
import org.oblume.core.plot.Stop;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;
import org.oblume.core.plot.White;

/** A small shot, put together by a test. A person at (0, 0) with the face 1.5 m up looks north; lights look at that face. */
public final class Stage {

    public static final double PEAK = 10_000;
    public static final double FACE_M = 1.5;
    private static final ShotNode SHOT = new ShotNode(new Slate("1A"), null, ShotStage.PLANNED);
    private final List<Placement> placements = new ArrayList<>();
    private final List<Knot> knots = new ArrayList<>();
    private SetPlan set;

    private Stage(SetPlan set) {
        this.set = set;
        put(
                new Placement(
                        "mark",
                        "Repairer",
                        PlacementKind.MARK,
                        Role.SUBJECT,
                        null,
                        new Piece("Person", null, 0.5, null, null, 0, Mount.FLOOR)),
                0,
                0,
                FACE_M,
                AimSetting.along(0, 0));
    }

    /** Nothing that light could come back off. */
    public static Stage outdoors() {
        return new Stage(new SetPlan(
                null, 0, List.of(), List.of(), List.of(), List.of(), null, Surface.grey(0), null, null, null));
    }

    /** Black walls from −5 to 5 m both ways, no ceiling, with these openings. */
    public static Stage blackRoom(SetPlan.Opening... openings) {
        return room(null, Surface.grey(0), Surface.grey(0), openings);
    }

    public static Stage room(@Nullable Double ceilingM, Surface walls, Surface ceiling, SetPlan.Opening... openings) {
        List<PlanPoint> round = List.of(
                PlanPoint.of(-5, -5),
                PlanPoint.of(5, -5),
                PlanPoint.of(5, 5),
                PlanPoint.of(-5, 5),
                PlanPoint.of(-5, -5));
        return new Stage(new SetPlan(
                ceilingM,
                0,
                List.of(new Wall(round, null, walls)),
                List.of(openings),
                List.of(),
                List.of(),
                ceiling,
                Surface.grey(0),
                null,
                null,
                null));
    }

    public static Lamp lamp(LevelCurve curve) {
        return new Lamp(
                new Optics(PEAK, 40, PEAK, 40, null),
                true,
                0.3,
                curve,
                1,
                0.02,
                new Lamp.Upkeep(10, null, 5, "fan", Lamp.Burn.ANY, 0.5, "", "", null));
    }

    public Stage withFloor(Surface floor) {
        return with(new SetPlan(
                set.ceilingHeightM(),
                set.northDeg(),
                set.walls(),
                set.openings(),
                set.furniture(),
                set.landmarks(),
                set.ceiling(),
                floor,
                null,
                null,
                set.site()));
    }

    /** The same where it stands on the earth, and with what the place does not allow. */
    public Stage at(@Nullable Site site, Restriction... restrictions) {
        return with(new SetPlan(
                set.ceilingHeightM(),
                set.northDeg(),
                set.walls(),
                set.openings(),
                set.furniture(),
                set.landmarks(),
                set.ceiling(),
                set.floor(),
                List.of(restrictions),
                null,
                site));
    }

    /** A window 2 m wide and 1 m high with daylight, that looks along a bearing. */
    public Stage window(String key, Role role, double x, double y, double z, double bearing) {
        return window(key, role, 2, 1, x, y, z, bearing);
    }

    public Stage window(
            String key, Role role, double width, double height, double x, double y, double z, double bearing) {
        return put(
                new Placement(
                        key,
                        "Window",
                        PlacementKind.DAYLIGHT,
                        role,
                        null,
                        new Piece("Window", null, width, null, null, 0, Mount.IN_PLACE, height, null, null, null)),
                x,
                y,
                z,
                AimSetting.along(bearing, 0));
    }

    public Stage with(SetPlan other) {
        set = other;
        return this;
    }

    /** A daylight head of 0.3 m at full, aimed at the face. */
    public Stage head(String key, Role role, double x, double y, double z, Modifier... stack) {
        return head(key, role, LevelCurve.LINEAR, x, y, z, stack);
    }

    public Stage head(String key, Role role, LevelCurve curve, double x, double y, double z, Modifier... stack) {
        put(
                new Placement(
                        key,
                        key,
                        PlacementKind.HEAD,
                        role,
                        null,
                        new Piece(
                                "LED spot",
                                null,
                                0.3,
                                2700.0,
                                6500.0,
                                100,
                                Mount.STAND,
                                null,
                                lamp(curve),
                                null,
                                null)),
                x,
                y,
                z,
                AimSetting.atMark("mark", FACE_M));
        tie(key, new Level(100));
        tie(key, new ColourTemperature(5600));
        tie(key, new Beam(40));
        return tie(key, new Modifiers(List.of(stack)));
    }

    public Stage grip(
            String key,
            PlacementKind kind,
            double width,
            double height,
            @Nullable Surface surface,
            double x,
            double y,
            double z,
            double bearing,
            double tilt,
            Modifier... stack) {
        put(
                new Placement(
                        key,
                        key,
                        kind,
                        Role.NEGATIVE_FILL,
                        null,
                        new Piece("Grip", null, width, null, null, 0, Mount.STAND, height, null, surface, null)),
                x,
                y,
                z,
                AimSetting.along(bearing, tilt));
        return kind == PlacementKind.FLAG || kind == PlacementKind.BOUNCE || kind == PlacementKind.MIRROR
                ? this
                : tie(key, new Modifiers(List.of(stack)));
    }

    public Stage camera(double x, double y) {
        put(
                new Placement(
                        "camera",
                        "Camera",
                        PlacementKind.CAMERA,
                        Role.CAMERA,
                        null,
                        new Piece("Camera", null, 0.0249, null, null, 0, Mount.STAND)),
                x,
                y,
                FACE_M,
                AimSetting.atMark("mark", FACE_M));
        tie("camera", new Lens(50));
        tie("camera", new Stop(Math.pow(2, 1.5)));
        tie("camera", new Speed(800));
        tie("camera", new Shutter(24, 180));
        return tie("camera", new White(5600, 0));
    }

    public Stage put(Placement placement, double x, double y, double z, AimSetting aim) {
        placements.add(placement);
        tie(placement.key(), SetStatus.ON);
        tie(placement.key(), new Place(x, y, true));
        tie(placement.key(), new Height(z));
        return tie(placement.key(), aim);
    }

    /** Records a value, in place of the one before. */
    public Stage tie(String key, AttributeValue value) {
        knots.removeIf(k -> k.placement().equals(key) && k.attribute() == Attribute.of(value));
        knots.add(new Knot(new Slate("1A"), key, value, new Attribution(null, null, "gaffer", Instant.EPOCH, 1)));
        return this;
    }

    public Placement placement(String key) {
        return placements.stream().filter(p -> p.key().equals(key)).findFirst().orElseThrow();
    }

    public List<Placement> placements() {
        return List.copyOf(placements);
    }

    public SetPlan set() {
        return set;
    }

    public ShotState state() {
        return CarryBook.of(List.of(SHOT), knots).resolve(new Slate("1A"));
    }

    public SceneRecord recording() {
        return SceneRecord.of(set, placements, CarryBook.of(List.of(SHOT), knots));
    }

    public ShotLighting light() {
        return light(Set.of());
    }

    public ShotLighting light(Set<String> out) {
        return ShotLighting.of(set, placements, state(), out, Map.of());
    }

    MarkLight mark() {
        return light().marks().get(0);
    }
}
