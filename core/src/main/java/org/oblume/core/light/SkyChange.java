package org.oblume.core.light;

import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.plot.Daylight;
import org.oblume.core.plot.Site;

/**
 * How daylight goes on from where it was metered (model, clear sky): the sky's light follows the sine of the sun's elevation
 * with a twentieth that stays while the sun is less than 6° down; the sun's follows {@code 2^(−0.3 / sin elevation)}, the air
 * that it comes through.
 *
 * @param sky part of the sky's light that was metered, 0 or more
 * @param sun part of the sun's light that was metered, 0 or more
 * @param now where the sun stands at the time the shot is lit for, or null when the place or the time is not known
 */
record SkyChange(double sky, double sun, @Nullable SunDirection now) {

    private static final double DUSK_DEG = -6;
    private static final double STAYS = 0.05;
    private static final double AIR = 0.3;

    static SkyChange of(@Nullable Site site, Daylight daylight) {
        java.time.Instant at = daylight.at() == null ? daylight.meteredAt() : daylight.at();
        if (site == null || at == null) {
            return new SkyChange(1, 1, null);
        }
        SunDirection now = SunDirection.at(site.latitude(), site.longitude(), at);
        if (daylight.meteredAt() == null || daylight.meteredAt().equals(at)) {
            return new SkyChange(1, 1, now);
        }
        SunDirection then = SunDirection.at(site.latitude(), site.longitude(), daylight.meteredAt());
        return new SkyChange(sky(now) / Math.max(STAYS, sky(then)), sun(then) == 0 ? 0 : sun(now) / sun(then), now);
    }

    private static double sky(SunDirection sun) {
        return sun.elevationDeg() < DUSK_DEG ? 0 : STAYS + Math.max(0, Math.sin(Math.toRadians(sun.elevationDeg())));
    }

    private static double sun(SunDirection sun) {
        return sun.elevationDeg() <= 0 ? 0 : Math.pow(2, -AIR / Math.sin(Math.toRadians(sun.elevationDeg())));
    }
}
