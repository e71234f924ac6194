package org.oblume.core.light;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.photometry.LevelHold;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Length;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;

/**
 * A light that was moved or dressed otherwise, and the level that keeps its stop on a mark, metered towards it.
 *
 * @param placement the light
 * @param mark key of the mark
 * @param move the change, the level that holds and what is missing
 * @param distanceFromM from the mark before, metres; null when nothing of it comes from one place
 * @param distanceToM and after
 */
public record ExposureHold(
        Placement placement,
        String mark,
        LevelHold move,
        @Nullable Double distanceFromM,
        @Nullable Double distanceToM) {

    /** Less than this part of what it gave is no light: twenty stops. */
    private static final double LEAST_PART = 1e-6;

    private static final int ISO_STEP = 10;
    private static final double A_TENTH = 0.1;
    /** What is offered goes no further (settings of the model): as lenses open, as cameras are still clean, as near as heads stand. */
    private static final double WIDEST = 0.95;

    private static final double HIGHEST_ISO = 12_800;
    private static final double NEAREST_M = 0.3;

    /**
     * @param before the shot as it was
     * @param after with the change, at any level
     * @throws Refusal when the light gave nothing on the mark before, or cannot reach it after
     */
    public static ExposureHold of(ShotLighting before, ShotLighting after, Placement placement, String mark) {
        Lamp lamp = Optional.ofNullable(placement.piece().lamp())
                .orElseThrow(() -> new Refusal("%s: no figures are known of its light. Choose its kind from the kit."
                        .formatted(placement.name())));
        double levelBefore = before.state().level(placement.key());
        double levelAfter = after.state().level(placement.key());
        double luxBefore = before.facingLux(placement.key(), mark);
        double luxAfter = after.facingLux(placement.key(), mark);
        if (luxBefore <= 0 || levelBefore <= 0) {
            throw new Refusal("%s gives no light on the mark: there is nothing to hold.".formatted(placement.name()));
        }
        if (luxAfter < luxBefore * LEAST_PART || levelAfter <= 0) {
            throw new Refusal(
                    "%s would not reach the mark there: aim it, or leave out hold.".formatted(placement.name()));
        }
        double perOutputBefore = luxBefore / lamp.curve().output(levelBefore);
        double perOutputAfter = luxAfter / lamp.curve().output(levelAfter);
        LevelHold move = LevelHold.holding(
                Stops.fromRatio(perOutputAfter / perOutputBefore),
                Percent.ofFraction(levelBefore),
                lamp.curve(),
                seen(before, placement, mark).angularSizeDeg(),
                seen(after, placement, mark).angularSizeDeg());
        return new ExposureHold(
                placement,
                mark,
                move,
                seen(before, placement, mark).distanceM(),
                seen(after, placement, mark).distanceM());
    }

    /**
     * What could make up for a shortfall, in the crew's words; empty when it holds.
     *
     * @param kinds of light that there are
     */
    public List<Phrase> offers(ShotLighting after, List<Piece> kinds) {
        if (move.reachable()) {
            return List.of();
        }
        double missing = move.shortfall().value();
        List<Phrase> offers = new ArrayList<>();
        after.metering().ifPresent(camera -> offers.addAll(exposures(camera)));
        double closer = distanceToM == null ? 0 : distanceToM * Math.pow(2, -missing / 2);
        if (distanceToM != null && closer >= NEAREST_M) {
            offers.add(Phrase.format(
                    "closer, from %s to about %s",
                    Phrase.of(Length.ofMetres(distanceToM)), Phrase.of(Length.ofMetres(closer))));
        }
        stronger(kinds).ifPresent(offers::add);
        if (offers.isEmpty()) {
            offers.add(Phrase.of("more lights, or fewer things before it: nothing alone makes up %s stops"
                    .formatted(move.shortfall().inTenths())));
        }
        return offers;
    }

    /** Exposures that make up for it, as far as lenses, cameras and the frame rate go. */
    private List<Phrase> exposures(ShotLighting.Metering camera) {
        double ratio = move.shortfall().ratio();
        List<Phrase> all = new ArrayList<>();
        double nd = camera.exposure().lensNdStops();
        if (nd > 0 && nd >= move.shortfall().value() - A_TENTH) {
            all.add(Phrase.of(
                    "%s stops less ND on the lens".formatted(move.shortfall().inTenths())));
        }
        TStop stop = TStop.of(camera.stop().number() / Math.sqrt(ratio));
        if (stop.number() >= WIDEST) {
            all.add(Phrase.of("open the stop to %s".formatted(stop.label())));
        }
        double iso = camera.exposure().iso() * ratio;
        if (iso <= HIGHEST_ISO) {
            all.add(Phrase.of("ISO %d".formatted(Math.round(iso / ISO_STEP) * ISO_STEP)));
        }
        double part = 1 / (camera.exposure().shutterSeconds() * ratio);
        double least = Math.max(1, camera.shutter().fps());
        if (part >= least * Math.pow(2, -A_TENTH)) {
            all.add(Phrase.of("shutter 1/%d s".formatted((long) Math.floor(Math.max(least, part)))));
        }
        return all;
    }

    private Optional<Phrase> stronger(List<Piece> kinds) {
        double now = peak(placement.piece());
        return kinds.stream()
                .filter(k ->
                        k.lamp() != null && peak(k) >= now * move.shortfall().ratio())
                .min(Comparator.comparingDouble(ExposureHold::peak))
                .map(k -> Phrase.of("a stronger unit: %s".formatted(k.what())));
    }

    private static double peak(Piece piece) {
        Lamp lamp = piece.lamp();
        return lamp == null ? 0 : lamp.optics().floodCandela();
    }

    private static MarkLight.SourceAtMark seen(ShotLighting light, Placement placement, String mark) {
        return light.mark(mark)
                .orElseThrow(() -> new Refusal("The mark is not on set."))
                .of(placement.key());
    }
}
