package org.oblume.core.measured;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;

/** A hall of 12 by 9 m with a ceiling, 10 pieces of grip and 5 marks. */
final class MeasuredHall {

    private static final double WIDE = 12;
    private static final double DEEP = 9;

    private MeasuredHall() {}

    /** @param heads all round it
     * @param walls 4 or more */
    static Stage of(int heads, int walls) {
        Stage stage = Stage.outdoors().with(set(walls, 0)).camera(2, -3);
        for (int i = 1; i < 5; i++) {
            stage.put(
                    new Placement(
                            "mark-" + i,
                            "Extra " + i,
                            PlacementKind.MARK,
                            Role.SUBJECT,
                            null,
                            new Piece("Person", null, 0.5, null, null, 0, Mount.FLOOR)),
                    i - 2.5,
                    1.5,
                    Stage.FACE_M,
                    AimSetting.along(40 * i, 0));
        }
        for (int i = 0; i < heads; i++) {
            double turn = 2 * Math.PI * i / heads;
            stage.head("head-" + i, i == 0 ? Role.KEY : Role.FILL, 4.5 * Math.sin(turn), 3.5 * Math.cos(turn), 2.5);
        }
        for (int i = 0; i < 4; i++) {
            stage.grip("flag-" + i, PlacementKind.FLAG, 0.6, 0.9, null, i - 1.5, 2.2, 1.7, 180, 0);
            stage.grip("board-" + i, PlacementKind.BOUNCE, 1.2, 1.2, Surface.grey(0.8), i - 2, -2, 1.5, 10 * i, 0);
        }
        Modifier silk = new Modifier("Half silk", 1.2, 1, 0, true, null, null, null).softAs(0.6);
        stage.grip("frame-0", PlacementKind.FRAME, 1.2, 1.2, null, 2, 2, 1.8, 225, 0, silk);
        stage.grip("frame-1", PlacementKind.FRAME, 2.4, 2.4, null, -3, 1, 2, 110, 0, silk);
        return stage;
    }

    /** @param moved how much longer it is, metres */
    static SetPlan set(int walls, double moved) {
        List<Wall> all = new ArrayList<>();
        all.add(Wall.of(List.of(
                PlanPoint.of(-WIDE / 2, -DEEP / 2),
                PlanPoint.of(WIDE / 2 + moved, -DEEP / 2),
                PlanPoint.of(WIDE / 2 + moved, DEEP / 2),
                PlanPoint.of(-WIDE / 2, DEEP / 2),
                PlanPoint.of(-WIDE / 2, -DEEP / 2))));
        for (int i = 4; i < walls; i++) {
            double x = -WIDE / 2 + (i - 3.5) * WIDE / (walls - 3);
            all.add(new Wall(List.of(PlanPoint.of(x, 3.9), PlanPoint.of(x + 0.1, 4.4)), 2.0, null));
        }
        return new SetPlan(4.0, 0, all, List.of(), List.of(), List.of());
    }
}
