package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.transport.Emitter;
import org.oblume.core.transport.Mirror;
import org.oblume.core.transport.Sheet;
import org.oblume.core.transport.Standing;
import org.oblume.core.units.Bearing;

/** A set with the grip that stands in it, and what was worked out of the light in it: kept until the one or the other changes. */
final class StandingGrip {

    private static final int SETUPS = 16;
    private static final int MARKS = 24;
    private static final int SOURCES = 240;
    private static final int BODIES = 3;
    private static final Kept<Key, StandingGrip> SEEN = new Kept<>(SETUPS);

    private final SetHall hall;
    private final List<Grip> grip;
    private final Standing standing;
    private final Kept<MarkKey, MarkSurfaces> marks = new Kept<>(MARKS);
    private final Kept<SourceEmitters.Key, double[][]> met = new Kept<>(SOURCES);
    private final Kept<List<Body>, LitSet.Surfaces> surfaces = new Kept<>(BODIES);

    private record Key(SetHall hall, List<Grip> grip) {}

    private record MarkKey(String key, SpacePoint face, Bearing facing, @Nullable SpacePoint lens) {}

    static StandingGrip of(SetHall hall, List<Grip> grip) {
        Key key = new Key(hall, List.copyOf(grip));
        return SEEN.get(key, () -> new StandingGrip(hall, key.grip));
    }

    private StandingGrip(SetHall hall, List<Grip> grip) {
        this.hall = hall;
        this.grip = grip;
        List<Sheet> sheets = grip.stream().map(Grip::sheet).toList();
        List<Mirror> mirrors = grip.stream().flatMap(g -> g.mirror().stream()).toList();
        List<Standing.Sender> senders = new ArrayList<>();
        for (int i = 0; i < grip.size(); i++) {
            senders.addAll(grip.get(i).senders(i));
        }
        this.standing = new Standing(hall.hall(), sheets, mirrors, senders);
    }

    MarkSurfaces mark(String key, SpacePoint face, Bearing facing, @Nullable SpacePoint lens) {
        return marks.get(
                new MarkKey(key, face, facing, lens),
                () -> new MarkSurfaces(key, face, facing, lens, hall, grip, standing));
    }

    SurfaceGathering surface(SpacePoint at, Direction normal) {
        return new SurfaceGathering(standing, at, normal);
    }

    /** Lux on the patches of all of a source's light, by channel. */
    double[][] meets(SourceEmitters source) {
        return met.get(source.key(), () -> {
            double[][] sum = standing.meets(source.emitters().get(0));
            for (Emitter more : source.emitters().subList(1, source.emitters().size())) {
                double[][] one = standing.meets(more);
                for (int c = 0; c < sum.length; c++) {
                    for (int j = 0; j < sum[c].length; j++) {
                        sum[c][j] += one[c][j];
                    }
                }
            }
            return sum;
        });
    }

    /** What of it is seen, with what stands at the marks. */
    LitSet.Surfaces surfaces(List<Body> bodies) {
        return surfaces.get(bodies, () -> {
            List<SeenSurface> seen = new ArrayList<>(hall.seen());
            for (Grip g : grip) {
                g.skins().forEach(skin -> seen.add(new SeenSurface("grip", g.key(), skin)));
            }
            for (Body body : bodies) {
                body.skins().forEach(skin -> seen.add(new SeenSurface("clothes", body.mark(), skin)));
            }
            return new LitSet.Surfaces(standing, seen);
        });
    }

    /** Whether any light comes straight from one point to another. */
    boolean clear(SpacePoint from, SpacePoint to) {
        return standing.ways().clear(from, to) > 0;
    }
}
