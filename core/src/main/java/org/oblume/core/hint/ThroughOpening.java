package org.oblume.core.hint;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** A light outside, or in another room, whose beam misses the opening on its way to the mark, or is cut by its edge. */
final class ThroughOpening implements HintRule {

    /** Hidden less than this of a lamp's front nobody minds. */
    private static final double CUT_FROM_M = 0.02;

    @Override
    public void look(HintContext shot) {
        shot.lights().filter(p -> shot.state().isOn(p.key())).forEach(p -> shot.state()
                .value(p.key(), AimSetting.class)
                .map(AimSetting::mark)
                .filter(shot.state()::isOnSet)
                .flatMap(shot.state()::position)
                .filter(mark -> isOutside(shot, p) || shot.light().wallBetween(shot.position(p), mark))
                .ifPresent(mark -> look(shot, p, mark)));
    }

    private static boolean isOutside(HintContext shot, Placement placement) {
        return shot.state()
                .value(placement.key(), Place.class)
                .map(Place::outside)
                .orElse(false);
    }

    private static void look(HintContext shot, Placement placement, SpacePoint mark) {
        Optional<LightSource> light = shot.light().straight(placement.key());
        if (light.isEmpty() || light.get().at().coincides(mark)) {
            return;
        }
        List<Crossing> crossings = new ArrayList<>();
        for (SetPlan.Opening opening : shot.set().openings()) {
            if (opening.letsLightThrough()) {
                crossing(opening, light.get(), mark).ifPresent(crossings::add);
            }
        }
        crossings.stream()
                .min(Comparator.comparingDouble(Crossing::hiddenM))
                .filter(c -> c.hiddenM() > CUT_FROM_M)
                .ifPresent(c -> report(shot, placement, c));
    }

    /**
     * Where the bundle from the whole of a lamp's front to a mark meets the plane of an opening.
     *
     * @param across of its middle along the opening, from its beginning, metres
     * @param high of its middle, metres
     * @param radiusM of the bundle there
     * @param perMetre how far the lamp has to move for each metre there
     * @param along the way along the opening
     */
    private record Crossing(
            SetPlan.Opening opening, double across, double high, double radiusM, double perMetre, Direction along) {

        /** How far what is widest hidden of the bundle reaches beyond the edges, metres. */
        double hiddenM() {
            return Math.hypot(shift(across, 0, opening.widthM()), shift(high, opening.sillM(), opening.headM()));
        }

        /** What brings the bundle between two edges, or to the middle of an opening that is too small for it. */
        double shift(double at, double low, double high) {
            double room = high - low;
            if (room < 2 * radiusM) {
                return (low + high) / 2 - at;
            }
            return Math.max(0, low + radiusM - at) - Math.max(0, at - (high - radiusM));
        }

        boolean misses() {
            return across < 0 || across > opening.widthM() || high < opening.sillM() || high > opening.headM();
        }

        /** How far its middle is off the nearer edge, metres: beyond it when it misses, within it otherwise. */
        double offEdgeM() {
            double x = Math.max(-across, across - opening.widthM());
            double y = Math.max(opening.sillM() - high, high - opening.headM());
            return x > 0 && y > 0 ? Math.hypot(x, y) : Math.abs(Math.max(x, y));
        }
    }

    private static Optional<Crossing> crossing(SetPlan.Opening opening, LightSource light, SpacePoint mark) {
        Direction along = Direction.between(opening.from().at(0), opening.to().at(0));
        Direction out = new Direction(-along.y(), along.x(), 0);
        SpacePoint corner = opening.from().at(0);
        double before = off(light.at(), corner, out);
        double after = off(mark, corner, out);
        if (before * after >= 0) {
            return Optional.empty();
        }
        double part = before / (before - after);
        SpacePoint at = Direction.between(light.at(), mark)
                .from(light.at(), part * light.at().distanceM(mark));
        return Optional.of(new Crossing(
                opening, off(at, corner, along), at.zM(), light.emitterRadiusM() * (1 - part), 1 / (1 - part), along));
    }

    private static double off(SpacePoint point, SpacePoint corner, Direction way) {
        return (point.xM() - corner.xM()) * way.x() + (point.yM() - corner.yM()) * way.y();
    }

    private static void report(HintContext shot, Placement placement, Crossing c) {
        Length off = Length.ofMetres(c.offEdgeM());
        String name = c.opening.name();
        Phrase title = c.misses()
                ? Phrase.format(placement.name() + " misses %s by %s", Phrase.of(name), off.small())
                : Phrase.of("%s is cut by the edge of %s".formatted(placement.name(), name));
        shot.report(HintKind.THROUGH_OPENING, placement, c.misses(), title, advice(shot, c), shot.position(placement));
    }

    private static Phrase advice(HintContext shot, Crossing c) {
        double aside = c.shift(c.across, 0, c.opening.widthM()) * c.perMetre;
        double up = c.shift(c.high, c.opening.sillM(), c.opening.headM()) * c.perMetre;
        List<Phrase> moves = new ArrayList<>();
        if (Math.abs(aside) > CUT_FROM_M) {
            Direction way = aside > 0 ? c.along : c.along.opposite();
            Bearing to = Bearing.ofDegrees(way.bearing().degrees() - shot.set().northDeg());
            moves.add(Phrase.format(
                    "%s to the %s", Length.ofMetres(Math.abs(aside)).small(), Phrase.of(to.compass())));
        }
        if (Math.abs(up) > CUT_FROM_M) {
            moves.add(Phrase.format("%s %s", Length.ofMetres(Math.abs(up)).small(), Phrase.of(up > 0 ? "up" : "down")));
        }
        Phrase move = moves.size() > 1
                ? Phrase.format("%s and %s", moves.get(0), moves.get(1))
                : moves.isEmpty() ? Phrase.of("a little") : moves.get(0);
        boolean small = Math.min(c.opening.widthM(), c.opening.headM() - c.opening.sillM()) < 2 * c.radiusM;
        return small
                ? Phrase.format(
                        "%s is smaller than the light there: move it %s, so that the most comes through.",
                        Phrase.of(c.opening.name()), move)
                : Phrase.format("All of it reaches the mark when it moves %s.", move);
    }
}
