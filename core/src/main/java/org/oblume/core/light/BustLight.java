package org.oblume.core.light;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.oblume.core.bust.Bust;
import org.oblume.core.bust.OwnShadow;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.Swatch;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.transport.Receiver;
import org.oblume.core.units.Bearing;

/**
 * What the light at a mark does to the bust there: each source on each facet, with the bust's own shadow (source: picture, "Bust"). Light that
 * comes straight, and by mirrors, reaches a facet from where it comes from, as near as that is; what comes from all around is taken by harmonics
 * of two orders, as much of it as the bust leaves open, and is made to agree with both cheeks of the ladder (model). Each cheek has one
 * reference facet besides, in the middle of the bust and out of its shadow: what is on it is what the ladder says of that cheek.
 *
 * @param face the middle of the bust, at the line of the eyes
 * @param conesOfEach by source in the sources' order: by facet, then each cheek's reference as its normals are, three channels each, Y is lux
 */
public record BustLight(SpacePoint face, Bearing facing, List<double[]> conesOfEach) {

    private static final int CHANNELS = ConeLight.CHANNELS;
    /** What comes from within so many degrees is one direction. */
    private static final double TOGETHER_DEG = 4;
    /** A source of a larger angular radius is asked at five points of it. */
    private static final double SOFT_SINE = 0.05;

    private static final double PART_OF_RADIUS = 0.7;
    private static final List<Bust.Facet> BUST = Bust.plain().facets();
    private static final double[] IN_THE_MIDDLE = new double[3];
    /** A facet is never taken as nearer to a source than half of the middle's way. */
    private static final double NEAREST = 0.5;

    /** Light from one direction, in the bust's frame. */
    private static final class Ray {

        private final double[] to = new double[3];
        private final double[] lux = new double[CHANNELS];
        private double metres;
        private double sine;
        private double weight;

        void add(double[] way, double sineOf, double[] luxOf, double squared) {
            double all = Math.max(0, ConeLight.luminance(luxOf));
            for (int k = 0; k < to.length; k++) {
                to[k] += all * way[k];
                lux[k] += luxOf[k];
            }
            metres += all * Math.sqrt(squared);
            sine += all * sineOf;
            weight += all;
        }

        /** By the light in it; what lies beside its middle widens it. */
        void settle() {
            double length = Math.sqrt(to[0] * to[0] + to[1] * to[1] + to[2] * to[2]);
            metres /= weight;
            double spread = Math.sqrt(Math.max(0, 1 - length * length / (weight * weight)));
            sine = Math.min(1, Math.hypot(sine / weight, spread));
            for (int k = 0; k < to.length; k++) {
                to[k] /= length;
            }
        }
    }

    /** Collects the light of one source. */
    static final class Collecting {

        private final double[] forward;
        private final double[] left;
        private final Map<List<Long>, Ray> rays = new LinkedHashMap<>();

        Collecting(Bearing facing) {
            double turn = Math.toRadians(facing.degrees());
            forward = new double[] {Math.sin(turn), Math.cos(turn)};
            left = new double[] {-Math.cos(turn), Math.sin(turn)};
        }

        private double[] own(double x, double y, double z) {
            return new double[] {x * forward[0] + y * forward[1], x * left[0] + y * left[1], z};
        }

        private double[] world(double[] own) {
            return new double[] {own[0] * forward[0] + own[1] * left[0], own[0] * forward[1] + own[1] * left[1], own[2]
            };
        }

        void add(double dx, double dy, double dz, double sine, double[] lux, double squared) {
            if (ConeLight.luminance(lux) > 0) {
                double step = Math.toRadians(TOGETHER_DEG);
                List<Long> cell = List.of(Math.round(dx / step), Math.round(dy / step), Math.round(dz / step));
                rays.computeIfAbsent(cell, c -> new Ray()).add(own(dx, dy, dz), sine, lux, squared);
            }
        }

        /**
         * @param cheeks where its light from all around comes to
         * @param around that light
         * @param exact of both cheeks, all ways together
         * @return by facet and channel
         */
        double[] onFacets(Receiver cheeks, double[][] around, double[][] exact) {
            List<Bust.Facet> facets = new ArrayList<>(BUST);
            for (double[] normal : cheeks.normals()) {
                facets.add(new Bust.Facet(new double[0][], IN_THE_MIDDLE, own(normal[0], normal[1], normal[2])));
            }
            double[][] rest = new double[exact.length][];
            for (int side = 0; side < rest.length; side++) {
                rest[side] = exact[side].clone();
                double[] shaped = cheeks.shaped(cheeks.normals()[side], around);
                for (int c = 0; c < CHANNELS; c++) {
                    rest[side][c] -= shaped[c];
                }
            }
            rays.values().forEach(Ray::settle);
            double[] on = new double[facets.size() * CHANNELS];
            for (Ray ray : rays.values()) {
                straight(ray, facets, on);
                for (int side = 0; side < rest.length; side++) {
                    double[] way = world(ray.to);
                    double turned = Receiver.turned(way[0], way[1], way[2], cheeks.normals()[side], ray.sine);
                    for (int c = 0; c < CHANNELS; c++) {
                        rest[side][c] -= turned * ray.lux[c];
                    }
                }
            }
            for (int f = 0; f < facets.size(); f++) {
                double[] normal = world(facets.get(f).normal());
                double[] shaped = cheeks.shaped(normal, around);
                double open = f < BUST.size() ? OwnShadow.openness(f) : 1;
                for (int c = 0; c < CHANNELS; c++) {
                    double more = shaped[c];
                    for (int side = 0; side < rest.length; side++) {
                        double[] cheek = cheeks.normals()[side];
                        double like = normal[0] * cheek[0] + normal[1] * cheek[1] + normal[2] * cheek[2];
                        more += Math.max(0, like) * Math.max(0, like) * rest[side][c];
                    }
                    on[f * CHANNELS + c] = Math.max(0, on[f * CHANNELS + c] + open * more);
                }
            }
            return on;
        }

        private static void straight(Ray ray, List<Bust.Facet> facets, double[] on) {
            double[] reached = reached(ray);
            for (int f = 0; f < facets.size(); f++) {
                double part = f < reached.length ? reached[f] : 1;
                if (part > 0) {
                    Bust.Facet facet = facets.get(f);
                    double[] way = new double[3];
                    double squared = 0;
                    for (int k = 0; k < way.length; k++) {
                        way[k] = ray.metres * ray.to[k] - facet.middle()[k];
                        squared += way[k] * way[k];
                    }
                    double metres = Math.max(NEAREST * ray.metres, Math.sqrt(squared));
                    double nearer = ray.metres / metres;
                    double turned = Receiver.turned(
                            way[0] / metres,
                            way[1] / metres,
                            way[2] / metres,
                            facet.normal(),
                            Math.min(1, ray.sine * nearer));
                    for (int c = 0; c < CHANNELS; c++) {
                        on[f * CHANNELS + c] += part * turned * nearer * nearer * ray.lux[c];
                    }
                }
            }
        }

        private static double[] reached(Ray ray) {
            double[] reached = OwnShadow.reached(ray.to);
            if (ray.sine < SOFT_SINE) {
                return reached;
            }
            double[] aside = Math.abs(ray.to[2]) < 0.9
                    ? new double[] {-ray.to[1], ray.to[0], 0}
                    : new double[] {0, -ray.to[2], ray.to[1]};
            double length = Math.hypot(Math.hypot(aside[0], aside[1]), aside[2]);
            double[] other = {
                (ray.to[1] * aside[2] - ray.to[2] * aside[1]) / length,
                (ray.to[2] * aside[0] - ray.to[0] * aside[2]) / length,
                (ray.to[0] * aside[1] - ray.to[1] * aside[0]) / length
            };
            int asked = 1;
            for (int turn = 0; turn < 4; turn++) {
                double a = PART_OF_RADIUS * ray.sine * (turn < 2 ? 1 - 2 * turn : 0) / length;
                double b = PART_OF_RADIUS * ray.sine * (turn < 2 ? 0 : 5 - 2 * turn);
                double[] to = new double[3];
                double far = 0;
                for (int k = 0; k < to.length; k++) {
                    to[k] = ray.to[k] + a * aside[k] + b * other[k];
                    far += to[k] * to[k];
                }
                for (int k = 0; k < to.length; k++) {
                    to[k] /= Math.sqrt(far);
                }
                double[] more = OwnShadow.reached(to);
                for (int f = 0; f < reached.length; f++) {
                    reached[f] += more[f];
                }
                asked++;
            }
            for (int f = 0; f < reached.length; f++) {
                reached[f] /= asked;
            }
            return reached;
        }
    }

    /** All of it together on one facet, by channel, Y is lux. */
    public double[] cones(int facet) {
        double[] sum = new double[CHANNELS];
        for (double[] one : conesOfEach) {
            for (int c = 0; c < CHANNELS; c++) {
                sum[c] += one[facet * CHANNELS + c];
            }
        }
        return sum;
    }

    /** What a cheek gets with the bust's own shadow on it, in the mean of its facets, lux. */
    public double cheekLux(boolean left) {
        return Arrays.stream(Bust.plain().cheekFacets(left))
                .mapToDouble(f -> on(f).lux())
                .average()
                .orElse(0);
    }

    /** What a cheek's reference facet gets, which the bust does not shade, of each source. */
    public SurfaceLight reference(boolean left) {
        return on(BUST.size() + (left ? 0 : 1));
    }

    /** The light on one facet, of each source. */
    public SurfaceLight on(int facet) {
        return SurfaceLight.of(conesOfEach.stream()
                .map(one -> Arrays.copyOfRange(one, facet * CHANNELS, (facet + 1) * CHANNELS))
                .toList());
    }

    /**
     * The picture of it: each facet as a camera shows it (model: a view, no film stock; what is over half of full is bent towards it).
     *
     * @param requiredLux on an 18 % card for the camera's stop, above 0
     * @return by facet
     */
    public List<Swatch> picture(CameraWhite white, double requiredLux) {
        List<Swatch> all = new ArrayList<>();
        for (int f = 0; f < BUST.size(); f++) {
            double[] rgb = white.linear(cones(f));
            all.add(Swatch.shown(rgb, Bust.REFLECTANCE / requiredLux));
        }
        return all;
    }
}
