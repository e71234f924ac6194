package org.oblume.core.hint;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** A head, its stand or a flag inside the view and not behind a wall. */
final class InFrame implements HintRule {

    /** Less than this is no more than the edge of a frame line, metres. */
    private static final double LEAST_M = 0.01;
    /** So much farther than the edge it is said to be clear, metres. */
    private static final double MARGIN_M = 0.03;

    private static final double FOOT_OF_A_STAND_M = 0.05;

    @Override
    public void look(HintContext shot) {
        shot.frame().ifPresent(frame -> shot.rigged()
                .filter(p -> p.kind() != PlacementKind.PRACTICAL)
                .forEach(p -> look(shot, frame, p)));
    }

    private static void look(HintContext shot, CameraFrame frame, Placement placement) {
        Deepest deepest = deepest(shot, frame, placement);
        if (deepest.seen == null || deepest.insideM <= LEAST_M) {
            return;
        }
        boolean left = deepest.seen.x() < 0;
        Direction way = left ? frame.right().opposite() : frame.right();
        Bearing out = Bearing.ofDegrees(way.bearing().degrees() - shot.set().northDeg());
        shot.report(
                HintKind.IN_FRAME,
                placement,
                true,
                Phrase.format(
                        "%s is %s in frame, %s",
                        Phrase.of(placement.name()),
                        Length.ofMetres(deepest.insideM).small(),
                        Phrase.of(left ? "left" : "right")),
                Phrase.format(
                        "Clear: %s to the %s.",
                        Length.ofMetres(deepest.insideM + MARGIN_M).small(), Phrase.of(out.compass())),
                shot.position(placement));
    }

    /** @param insideM from the nearer edge of the frame, metres */
    private record Deepest(double insideM, CameraFrame.@Nullable Seen seen) {}

    private static Deepest deepest(HintContext shot, CameraFrame frame, Placement placement) {
        double side = placement.piece().widthM() / 2;
        Direction along = shot.state()
                .aim(placement.key())
                .map(a -> Direction.of(Bearing.ofDegrees(a.bearing().degrees() + 90), 0))
                .orElse(frame.right());
        Deepest deepest = new Deepest(0, null);
        for (SpacePoint point : points(placement, shot.position(placement))) {
            for (double shift : new double[] {-side, side}) {
                SpacePoint edge = along.from(point, shift);
                CameraFrame.Seen seen = frame.see(edge);
                if (seen != null && seen.inside() && !shot.light().wallBetween(frame.lens(), edge)) {
                    double inside = (1 - Math.abs(seen.x())) * frame.widthTan() * seen.depthM();
                    if (deepest.seen == null || inside > deepest.insideM) {
                        deepest = new Deepest(inside, seen);
                    }
                }
            }
        }
        return deepest;
    }

    private static List<SpacePoint> points(Placement placement, SpacePoint at) {
        double half = placement.piece().tallM() / 2;
        List<SpacePoint> points = new ArrayList<>(
                List.of(at.onPlan().at(at.zM() + half), at, at.onPlan().at(at.zM() - half)));
        if (placement.piece().mount() == Mount.STAND) {
            points.add(at.onPlan().at(at.zM() / 2));
            points.add(at.onPlan().at(FOOT_OF_A_STAND_M));
        }
        return points;
    }
}
