package org.oblume.server.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.bust.Bust;
import org.oblume.core.light.LitSet;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.picture.SeenAt;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Phrase;
import org.oblume.server.light.FrameViews.FramePoint;
import org.oblume.server.light.FrameViews.PointKind;
import org.oblume.server.light.FrameViews.PointSource;

/** The light at points of a frame: of each mark as the ladder has it, and where it is touched. */
final class FramePoints {

    private static final double FULL = 100;

    private final FrameService.Prepared frame;
    private final ShotLighting light;
    private final LitSet set;

    FramePoints(FrameService.Prepared frame, LitSet set) {
        this.frame = frame;
        this.light = frame.lit().light();
        this.set = set;
    }

    /** Where a point is, and what it is. */
    private record Point(PointKind kind, String on, @Nullable String mark, Optional<SeenAt.Spot> spot) {}

    List<FramePoint> all() {
        List<FramePoint> points = new ArrayList<>();
        for (int i = 0; i < light.marks().size(); i++) {
            MarkLight mark = light.marks().get(i);
            points.add(cheek(i, PointKind.LIT, mark.leftIsLit(), mark.lit()));
            points.add(cheek(i, PointKind.SHADOW, !mark.leftIsLit(), mark.shadow()));
            SeenAt.behind(frame.view().camera(), light, set, i)
                    .map(behind -> lit(
                            new Point(PointKind.BACKGROUND, name(behind), mark.key(), Optional.empty()),
                            behind.light(),
                            behind.reflectance()))
                    .ifPresent(points::add);
        }
        frame.wanted().touched().forEach(spot -> points.add(touched(spot.x(), spot.y())));
        return points;
    }

    private FramePoint cheek(int mark, PointKind kind, boolean left, SurfaceLight falling) {
        String key = light.marks().get(mark).key();
        Optional<SeenAt.Spot> spot =
                SeenAt.cheek(frame.view().camera(), set, mark, left).filter(SeenAt.Spot::seen);
        return lit(new Point(kind, frame.lit().name(key), key, spot), falling, Bust.REFLECTANCE);
    }

    private FramePoint touched(double x, double y) {
        Optional<SeenAt.Spot> spot = Optional.of(new SeenAt.Spot(x, y, true));
        return SeenAt.of(frame.view(), light, set, x, y)
                .map(seen ->
                        lit(new Point(PointKind.TOUCHED, name(seen), null, spot), seen.light(), seen.reflectance()))
                .orElseGet(() -> new FramePoint(
                        PointKind.TOUCHED,
                        "nothing that light falls on",
                        null,
                        x,
                        y,
                        null,
                        null,
                        null,
                        false,
                        List.of()));
    }

    private String name(SeenAt seen) {
        if (seen.placement() == null) {
            return seen.on();
        }
        String whole = frame.lit().name(seen.placement());
        return "grip".equals(seen.on()) ? whole : "%s, %s".formatted(whole, seen.on());
    }

    private FramePoint lit(Point point, SurfaceLight falling, double reflectance) {
        double shown = reflectance * falling.lux() / frame.requiredLux();
        List<PointSource> sources = new ArrayList<>();
        List<Placement> lights = light.lights();
        for (int i = 0; i < lights.size(); i++) {
            sources.add(new PointSource(
                    lights.get(i).key(),
                    frame.lights().onSide(falling.luxOfEach().get(i))));
        }
        return new FramePoint(
                point.kind,
                point.on,
                point.mark,
                point.spot.map(SeenAt.Spot::x).orElse(null),
                point.spot.map(SeenAt.Spot::y).orElse(null),
                frame.lights().side(falling),
                Phrase.of(Illuminance.ofLux(falling.lux())),
                falling.lux() > 0 ? Math.min(FULL, Math.max(0, frame.curve().percent(shown))) : null,
                frame.curve().clips(shown),
                sources);
    }
}
