package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.bust.Bust;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.transport.Skin;
import org.oblume.core.units.Bearing;

/** What carries the bust at a mark, from its collar down to the floor: upright and plain, and nothing stands in its light (model). */
record Body(String mark, SpacePoint face, Bearing facing) {

    /** Dark clothes. */
    private static final double[] SENDS = {0.1, 0.1, 0.1};

    /** A point of the bust's own frame, in the set. */
    static SpacePoint inSet(SpacePoint face, Bearing facing, double[] own) {
        double turn = Math.toRadians(facing.degrees());
        double x = own[0] * Math.sin(turn) - own[1] * Math.cos(turn);
        double y = own[0] * Math.cos(turn) + own[1] * Math.sin(turn);
        return new SpacePoint(face.xM() + x, face.yM() + y, face.zM() + own[2]);
    }

    List<Skin> skins() {
        List<Skin> skins = new ArrayList<>();
        List<double[]> collar = Bust.plain().collar();
        for (int i = 0; i < collar.size(); i++) {
            SpacePoint a = inSet(face, facing, collar.get(i));
            SpacePoint b = inSet(face, facing, collar.get((i + 1) % collar.size()));
            double length = a.onPlan().distanceM(b.onPlan());
            if (a.zM() > 0 && length > 0) {
                Direction right = new Direction((b.xM() - a.xM()) / length, (b.yM() - a.yM()) / length, 0);
                Panel side = new Panel(
                        new SpacePoint((a.xM() + b.xM()) / 2, (a.yM() + b.yM()) / 2, a.zM() / 2),
                        new Direction(right.y(), -right.x(), 0),
                        right,
                        Direction.UP,
                        length,
                        a.zM());
                skins.add(Skin.of(side, SENDS, 1));
            }
        }
        return skins;
    }
}
