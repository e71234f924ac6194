package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photometry.AngularSize;
import org.oblume.core.photometry.Shadow;
import org.oblume.core.transport.Emitter;
import org.oblume.core.transport.Receiver;
import org.oblume.core.transport.Standing;
import org.oblume.core.units.Bearing;

/** The cheeks of one mark and what is behind it, and how the light of each source comes to them. */
final class MarkSurfaces {

    private static final double CHEEK_DEG = 45;
    private static final int LEFT = 0;
    private static final int RIGHT = 1;
    private static final int MOST_SOURCES = 240;

    private final String key;
    private final SpacePoint face;
    private final Bearing facing;
    private final @Nullable SpacePoint lens;
    private final SetHall hall;
    private final List<Grip> grip;
    private final Receiver cheeks;
    private final @Nullable SurfaceGathering behind;
    private final @Nullable Double toBackgroundM;

    private final Kept<SourceEmitters.Key, Brought> known = new Kept<>(MOST_SOURCES);
    private final Kept<SourceEmitters.Key, double[]> onBust = new Kept<>(MOST_SOURCES);

    /** What one source brings here at full. */
    private record Brought(
            double[] left, double[] right, double @Nullable [] background, MarkLight.SourceAtMark seen) {}

    /** A way by which light comes: most of it decides what is said of the source. */
    private record Way(double lux, SpacePoint from, double distanceM, double radiusM, boolean straight) {}

    MarkSurfaces(
            String key,
            SpacePoint face,
            Bearing facing,
            @Nullable SpacePoint lens,
            SetHall hall,
            List<Grip> grip,
            Standing standing) {
        this.key = key;
        this.face = face;
        this.facing = facing;
        this.lens = lens;
        this.hall = hall;
        this.grip = grip;
        double[][] normals = {
            vector(Direction.of(Bearing.ofDegrees(facing.degrees() - CHEEK_DEG), 0)),
            vector(Direction.of(Bearing.ofDegrees(facing.degrees() + CHEEK_DEG), 0))
        };
        this.cheeks = standing.receiver(face.xM(), face.yM(), face.zM(), normals, true);
        SetHall.Behind back = lens == null ? null : hall.behind(lens, face);
        if (back == null) {
            behind = null;
            toBackgroundM = null;
        } else {
            behind = new SurfaceGathering(standing, back.at(), back.normal());
            toBackgroundM = face.distanceM(back.at());
        }
    }

    private static double[] vector(Direction d) {
        return new double[] {d.x(), d.y(), d.z()};
    }

    /** @param meets lux of all its emitters on the patches */
    private Brought brought(SourceEmitters source, double[][] meets) {
        double[][] each = new double[2][ConeLight.CHANNELS];
        List<Way> ways = new ArrayList<>();
        double[][] meters = lens == null
                ? new double[][] {to(source.seen().at())}
                : new double[][] {to(source.seen().at()), to(lens)};
        double[][] metered = new double[meters.length][ConeLight.CHANNELS];
        for (Emitter emitter : source.emitters()) {
            straight(source, emitter, each, meters, metered, ways);
        }
        double[][] byLeft = cheeks.byOwner(LEFT, meets, grip.size());
        double[][] byRight = cheeks.byOwner(RIGHT, meets, grip.size());
        double room = 0;
        for (int i = 0; i <= grip.size(); i++) {
            SurfaceGathering.add(each[LEFT], byLeft[i]);
            SurfaceGathering.add(each[RIGHT], byRight[i]);
            double most = Math.max(lux(byLeft[i]), lux(byRight[i]));
            if (i == grip.size()) {
                room = most;
            } else if (most > 0) {
                Panel panel = grip.get(i).panel();
                double radius = Math.sqrt(panel.areaM2() / Math.PI);
                ways.add(new Way(most, panel.middle(), face.distanceM(panel.middle()), radius, false));
            }
        }
        double least = SurfaceGathering.WORTH_A_LOOK * Math.min(lux(each[LEFT]), lux(each[RIGHT]));
        double[][] closer = cheeks.closer(source.emitters(), meets, least);
        SurfaceGathering.add(each[LEFT], closer[LEFT]);
        SurfaceGathering.add(each[RIGHT], closer[RIGHT]);
        double[][] around = cheeks.sentOn(meets);
        for (int r = 0; r < around.length; r++) {
            SurfaceGathering.add(around[r], closer[cheeks.normals().length + r]);
        }
        for (int m = 0; m < meters.length; m++) {
            SurfaceGathering.add(metered[m], cheeks.shaped(meters[m], around));
        }
        double[] there = behind == null ? null : behind.brought(source, meets);
        return new Brought(
                each[LEFT], each[RIGHT], there, asSeen(source.placement().key(), metered, room, ways));
    }

    private double[] to(SpacePoint at) {
        return face.coincides(at) ? new double[] {0, 0, 1} : vector(Direction.between(face, at));
    }

    private void straight(
            SourceEmitters source,
            Emitter emitter,
            double[][] each,
            double[][] meters,
            double[][] metered,
            List<Way> ways) {
        double[] straight = new double[1];
        double[] mirrored = new double[5];
        cheeks.each(emitter, (dx, dy, dz, sine, lux, squared, bounces) -> {
            for (int side = LEFT; side <= RIGHT; side++) {
                double turned = Receiver.turned(dx, dy, dz, cheeks.normals()[side], sine);
                for (int c = 0; c < ConeLight.CHANNELS; c++) {
                    each[side][c] += turned * lux[c];
                }
            }
            for (int m = 0; m < meters.length; m++) {
                double turned = Receiver.turned(dx, dy, dz, meters[m], sine);
                for (int c = 0; c < ConeLight.CHANNELS; c++) {
                    metered[m][c] += turned * lux[c];
                }
            }
            double all = ConeLight.luminance(lux);
            if (bounces == 0) {
                straight[0] += all;
            } else {
                mirrored[0] += all;
                mirrored[1] += all * dx;
                mirrored[2] += all * dy;
                mirrored[3] += all * dz;
                mirrored[4] += all * Math.sqrt(squared);
            }
        });
        boolean sun = emitter.gate() != null;
        SpacePoint at = sun
                ? new SpacePoint(emitter.pieces()[0].x(), emitter.pieces()[0].y(), emitter.pieces()[0].z())
                : source.seen().at();
        double radius = sun ? emitter.pieces()[0].radius() : source.seen().emitterRadiusM();
        if (straight[0] > 0) {
            ways.add(new Way(straight[0], at, face.distanceM(at), radius, true));
        }
        if (mirrored[0] > 0) {
            double distance = mirrored[4] / mirrored[0];
            Direction way = new Direction(mirrored[1], mirrored[2], mirrored[3]);
            ways.add(new Way(mirrored[0], way.from(face, distance), distance, radius, false));
        }
    }

    private static double lux(double[] cones) {
        return Math.max(0, ConeLight.luminance(cones));
    }

    private MarkLight.SourceAtMark asSeen(String source, double[][] metered, double roomLux, List<Way> ways) {
        double[] toLens = metered.length > 1 ? metered[1] : null;
        Way most = null;
        for (Way way : ways) {
            if (way.lux > 0 && (most == null || way.lux > most.lux)) {
                most = way;
            }
        }
        if (most == null || face.coincides(most.from)) {
            return new MarkLight.SourceAtMark(
                    source, metered[0], toLens, roomLux, 0, Bearing.ofDegrees(0), 0, null, 0, null, null, false);
        }
        Direction way = Direction.between(face, most.from);
        return new MarkLight.SourceAtMark(
                source,
                metered[0],
                toLens,
                roomLux,
                most.lux,
                way.bearing(),
                way.tiltDeg(),
                most.distanceM,
                AngularSize.ofDiscDeg(most.radiusM, most.distanceM),
                toBackgroundM == null ? null : new Shadow(most.radiusM, most.distanceM, toBackgroundM).penumbraM(),
                through(most),
                most.straight);
    }

    private MarkLight.@Nullable Through through(Way way) {
        return hall.passed(way.from, face)
                .map(passed -> {
                    double away = way.from.distanceM(passed.at());
                    Shadow edge = new Shadow(way.radiusM, away, passed.at().distanceM(face));
                    return new MarkLight.Through(
                            passed.opening().name(),
                            away,
                            edge.fanDeg(passed.opening().widthM()),
                            edge.penumbraM());
                })
                .orElse(null);
    }

    /** All of the sources' light. */
    MarkLight light(List<SourceEmitters> sources, StandingGrip inside) {
        List<double[]> left = new ArrayList<>();
        List<double[]> right = new ArrayList<>();
        List<double[]> background = new ArrayList<>();
        List<MarkLight.SourceAtMark> from = new ArrayList<>();
        List<Brought> all = sources.parallelStream()
                .map(source -> known.get(source.key(), () -> brought(source, inside.meets(source))))
                .toList();
        for (int i = 0; i < sources.size(); i++) {
            double[] gains = sources.get(i).gains();
            Brought full = all.get(i);
            left.add(ConeLight.times(full.left, gains));
            right.add(ConeLight.times(full.right, gains));
            if (full.background != null) {
                background.add(ConeLight.times(full.background, gains));
            }
            from.add(full.seen.scaled(gains));
        }
        return new MarkLight(
                key,
                face,
                facing,
                SurfaceLight.of(left),
                SurfaceLight.of(right),
                behind == null ? null : SurfaceLight.of(background),
                from);
    }

    private double[] onBust(SourceEmitters source, double[][] meets, Brought all) {
        BustLight.Collecting straight = new BustLight.Collecting(facing);
        for (Emitter emitter : source.emitters()) {
            cheeks.each(
                    emitter, (dx, dy, dz, sine, lux, squared, bounces) -> straight.add(dx, dy, dz, sine, lux, squared));
        }
        return straight.onFacets(cheeks, cheeks.sentOn(meets), new double[][] {all.left, all.right});
    }

    /** The bust in the sources' light. */
    BustLight bust(List<SourceEmitters> sources, StandingGrip inside) {
        List<double[]> all = sources.parallelStream()
                .map(source -> {
                    double[] full = onBust.get(source.key(), () -> {
                        double[][] meets = inside.meets(source);
                        return onBust(source, meets, known.get(source.key(), () -> brought(source, meets)));
                    });
                    double[] gains = source.gains();
                    double[] now = new double[full.length];
                    for (int i = 0; i < now.length; i++) {
                        now[i] = full[i] * gains[i % gains.length];
                    }
                    return now;
                })
                .toList();
        return new BustLight(face, facing, all);
    }
}
