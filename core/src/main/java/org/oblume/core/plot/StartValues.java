package org.oblume.core.plot;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.SetPlan.Opening;
import org.oblume.core.units.Bearing;

/** What is recorded of a placement the moment it is put on the plan, so that nothing about it is unknown. */
public final class StartValues {

    private static final double ON_A_STAND_M = 2;
    private static final double EYES_M = 1.5;
    private static final double ON_THE_FLOOR_M = 0.4;
    private static final double OVERHEAD_M = 2.8;
    private static final double INTO_THE_ROOM_M = 0.2;
    private static final double DAYLIGHT_K = 5600;
    /** A grey day at a window, until it is metered. */
    private static final double OVERCAST_K = 6500;

    private static final double OVERCAST_LUX = 5000;
    private static final double FPS = 24;
    private static final double HALF_CIRCLE_DEG = 180;
    private static final double NORMAL_LENS_MM = 35;
    private static final double WIDE_OPEN_ENOUGH = Math.pow(2, 1.5);
    private static final double USUAL_ISO = 800;

    private StartValues() {}

    /**
     * @param place where it is put
     * @param beamDeg beam of a light, degrees
     * @param mark key of a mark to aim at, or null: it then points at the camera, level
     * @param camera where the camera stands, which a person faces, or null: then it points up the plan
     * @param stack what it comes with: a cloth on a frame, what a net takes
     */
    public static List<AttributeValue> of(
            Placement placement,
            Place place,
            double beamDeg,
            @Nullable String mark,
            @Nullable Place camera,
            Modifiers stack) {
        List<AttributeValue> values = new ArrayList<>(List.of(
                SetStatus.ON,
                place,
                new Height(heightM(placement)),
                mark == null ? facing(place, camera) : AimSetting.atMark(mark, EYES_M)));
        if (placement.kind().isLight()) {
            values.addAll(List.of(
                    Level.FULL,
                    new ColourTemperature(kelvin(placement.piece())),
                    new Tint(0),
                    new Beam(beamDeg),
                    stack,
                    Patch.BY_HAND));
        } else if (placement.kind().records(Attribute.MODIFIERS)) {
            values.add(stack);
        }
        if (placement.kind() == PlacementKind.DAYLIGHT) {
            values.addAll(
                    List.of(new ColourTemperature(OVERCAST_K), new Tint(0), new Daylight(OVERCAST_LUX, 0, null, null)));
        }
        if (placement.kind() == PlacementKind.CAMERA) {
            values.addAll(List.of(
                    new Lens(NORMAL_LENS_MM),
                    new Stop(WIDE_OPEN_ENOUGH),
                    new Speed(USUAL_ISO),
                    new Shutter(FPS, HALF_CIRCLE_DEG),
                    new White(DAYLIGHT_K, 0),
                    new LensNd(0)));
        }
        return values;
    }

    /** Daylight in an opening: in its middle, looking into the room, or up the plan where the walls do not tell which side that is. */
    public static List<AttributeValue> ofDaylight(Placement placement, Opening opening, Walls walls) {
        double xM = (opening.from().xM() + opening.to().xM()) / 2;
        double yM = (opening.from().yM() + opening.to().yM()) / 2;
        double acrossX = (opening.to().yM() - opening.from().yM()) / opening.widthM();
        double acrossY = (opening.from().xM() - opening.to().xM()) / opening.widthM();
        boolean across = walls.encloses(PlanPoint.of(xM + acrossX * INTO_THE_ROOM_M, yM + acrossY * INTO_THE_ROOM_M));
        Bearing in = across ? Bearing.fromOffset(acrossX, acrossY) : Bearing.fromOffset(-acrossX, -acrossY);
        List<AttributeValue> values = new ArrayList<>(
                of(placement, new Place(xM, yM, !walls.encloses(PlanPoint.of(xM, yM))), 0, null, null, Modifiers.NONE));
        values.removeIf(v -> v instanceof Height || v instanceof AimSetting);
        values.add(new Height((opening.sillM() + opening.headM()) / 2));
        values.add(AimSetting.along(Math.rint(in.degrees()) % 360, 0));
        return values;
    }

    /** Level, to the whole degree. */
    private static AimSetting facing(Place place, @Nullable Place camera) {
        if (camera == null || camera.point().equals(place.point())) {
            return AimSetting.along(0, 0);
        }
        Bearing way = Bearing.fromOffset(camera.xM() - place.xM(), camera.yM() - place.yM());
        return AimSetting.along(Math.rint(way.degrees()), 0);
    }

    private static double heightM(Placement placement) {
        if (placement.kind() == PlacementKind.MARK || placement.kind() == PlacementKind.CAMERA) {
            return EYES_M;
        }
        return switch (placement.piece().mount()) {
            case FLOOR -> ON_THE_FLOOR_M;
            case OVERHEAD -> OVERHEAD_M;
            case IN_PLACE, HAND_HELD, MAGNET -> EYES_M;
            case STAND, WALL_PLATE -> ON_A_STAND_M;
        };
    }

    private static double kelvin(Piece piece) {
        double lowest = piece.lowestKelvin() == null ? DAYLIGHT_K : piece.lowestKelvin();
        double highest = piece.highestKelvin() == null ? DAYLIGHT_K : piece.highestKelvin();
        return Math.max(lowest, Math.min(highest, DAYLIGHT_K));
    }
}
