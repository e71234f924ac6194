package org.oblume.server.day;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SunAgain;
import org.oblume.core.light.SunLevel;
import org.oblume.core.light.Trial;
import org.oblume.core.photometry.Shadow;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Streak;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.SunViews.ByMirror;
import org.oblume.server.day.SunViews.ByOpening;
import org.oblume.server.day.SunViews.LevelForSun;
import org.oblume.server.day.SunViews.MirrorFor;
import org.oblume.server.day.SunViews.StandsFor;
import org.oblume.server.day.SunViews.StreakAsked;
import org.oblume.server.day.SunViews.StreakMade;
import org.oblume.server.light.ParsedChange;
import org.oblume.server.metering.LightCalibrations;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A streak of sun made again by a head, straight or by a mirror. Nothing is kept here: what it takes is tried. */
@Service
@Transactional(readOnly = true)
class StreakService {

    private static final double FULL = 100;
    /** Lux of a light that brings nothing. */
    private static final double NOTHING_LUX = 1e-3;

    private static final double TENTHS = 10;
    private static final double MILLIMETRES = 1000;

    private final StoredScenes records;
    private final LightCalibrations calibrations;

    StreakService(StoredScenes records, LightCalibrations calibrations) {
        this.records = records;
        this.calibrations = calibrations;
    }

    /** @throws Refusal when it cannot be made so, with what to do instead */
    StreakMade made(long shotId, StreakAsked asked) {
        RecordedShot shot = records.shot(shotId);
        SetPlan set = shot.record().set();
        Placement mark = shot.record().placement(asked.mark());
        SpacePoint streak = shot.state()
                .position(mark.key())
                .orElseThrow(() -> new Refusal("mark", "%s has no place and height yet.".formatted(mark.name())));
        Placement head = shot.record().placement(asked.head());
        Lamp lamp = head.piece().lamp();
        if (!head.kind().isLight() || lamp == null) {
            throw new Refusal("head", "%s is no light with known figures: choose a head.".formatted(head.name()));
        }
        SunDirection sun = SunService.sun(SunService.site(shot), asked.at());
        SunAgain again = new SunAgain(set, streak, sun);
        ByMirror by = asked.mirror();
        SunAgain.Mirrored mirrored = by == null
                ? null
                : again.byMirror(by.awayM(), by.headM(), Bearing.ofDegrees(by.headBearingDeg()), by.headHeightM());
        SunAgain.Stand stand = mirrored == null ? again.straight(asked.awayM()) : mirrored.stand();
        Shadow edge = again.shadow(stand, lamp.radiusM(head.piece().widthM())).orElse(null);
        SetPlan.Opening opening = again.opening().orElse(null);
        double beam = tenth(asked.beamDeg() != null ? asked.beamDeg() : again.beamDeg(stand, lamp.optics()));

        List<Change> changes = new ArrayList<>();
        add(changes, head, again.place(stand.head()), stand.head().zM());
        if (mirrored == null) {
            changes.add(new Change(head.key(), AimSetting.atMark(mark.key(), millimetre(streak.zM()))));
        } else {
            Aim aim = Aim.between(stand.head(), mirrored.mirror());
            changes.add(
                    new Change(head.key(), AimSetting.along(tenth(aim.bearing().degrees()), tenth(aim.tiltDeg()))));
            Placement mirror = mirror(shot, by == null ? "" : by.key());
            add(
                    changes,
                    mirror,
                    again.place(mirrored.mirror()),
                    mirrored.mirror().zM());
            changes.add(new Change(
                    mirror.key(),
                    AimSetting.along(
                            tenth(mirrored.normal().bearing().degrees()),
                            tenth(mirrored.normal().tiltDeg()))));
        }
        changes.add(new Change(head.key(), new Beam(beam)));

        List<String> cautions = new ArrayList<>();
        LevelForSun level = level(shot, asked, head, lamp, changes, cautions);
        if (level != null) {
            changes.add(new Change(head.key(), new Level(level.levelPercent())));
        }
        return new StreakMade(
                again.toSun().bearing().degrees(),
                sun.elevationDeg(),
                streak.zM(),
                again.toOpeningM(),
                stand.wayM(),
                Phrase.metres(stand.wayM()),
                stands(again, stand.head()),
                beam,
                edge == null || opening == null ? null : byOpening(opening, again, edge),
                mirrored == null || by == null ? null : mirrorFor(shot, again, mirrored, by),
                level,
                cautions,
                ParsedChange.of(changes));
    }

    private static void add(List<Change> changes, Placement what, Place place, double heightM) {
        changes.add(new Change(what.key(), SetStatus.ON));
        changes.add(new Change(what.key(), new Place(millimetre(place.xM()), millimetre(place.yM()), place.outside())));
        changes.add(new Change(what.key(), new Height(millimetre(heightM))));
    }

    private static Placement mirror(RecordedShot shot, String key) {
        Placement mirror = shot.record().placement(key);
        if (mirror.kind() != PlacementKind.MIRROR) {
            throw new Refusal("mirror", "%s is no mirror: choose one.".formatted(mirror.name()));
        }
        return mirror;
    }

    private @Nullable LevelForSun level(
            RecordedShot shot,
            StreakAsked asked,
            Placement head,
            Lamp lamp,
            List<Change> changes,
            List<String> cautions) {
        List<Change> atFull = new ArrayList<>(changes);
        atFull.add(new Change(head.key(), new Level(FULL)));
        ShotLighting light = Trial.of(
                        shot.record(), shot.slate(), atFull, List.of(), Set.of(), calibrations.of(shot.scene()))
                .light();
        double full = light.facingLux(head.key(), asked.mark());
        if (full < NOTHING_LUX) {
            cautions.add("%s brings no light there: something stands in the way, or it is not aimed."
                    .formatted(head.name()));
            return null;
        }
        Double wanted = asked.sunLux() != null ? asked.sunLux() : onRecord(shot.state(), asked.mark());
        if (wanted == null) {
            return null;
        }
        SunLevel level = SunLevel.of(wanted, full, lamp);
        if (level.tooStrong()) {
            cautions.add("%s does not go below %.0f %%: hang a net or cloth before it, or take it farther off."
                    .formatted(head.name(), lamp.lowestPercent()));
        }
        return new LevelForSun(wanted, full, level.percent(), level.shortfall().value());
    }

    private static @Nullable Double onRecord(RecordedState state, String mark) {
        return state.value(mark, Streak.class).map(Streak::sunLux).orElse(null);
    }

    private static ByOpening byOpening(SetPlan.Opening opening, SunAgain again, Shadow edge) {
        double fan = edge.fanDeg(opening.widthM());
        return new ByOpening(
                opening.name(),
                opening.sillM(),
                opening.headM(),
                Phrase.metres(opening.widthM()),
                Phrase.metres(again.toOpeningM()),
                fan,
                fan < Shadow.PARALLEL_BELOW_DEG,
                Phrase.width(edge.penumbraM()));
    }

    private static MirrorFor mirrorFor(RecordedShot shot, SunAgain again, SunAgain.Mirrored mirrored, ByMirror by) {
        Placement mirror = mirror(shot, by.key());
        Double wide = mirrored.wideM();
        Double tall = mirrored.tallM();
        return new MirrorFor(
                stands(again, mirrored.mirror()),
                mirrored.metAtDeg(),
                wide == null ? null : Phrase.metres(wide),
                tall == null ? null : Phrase.metres(tall),
                (wide == null || mirror.piece().widthM() >= wide)
                        && (tall == null || mirror.piece().tallM() >= tall));
    }

    private static StandsFor stands(SunAgain again, SpacePoint at) {
        Place place = again.place(at);
        return new StandsFor(
                at.xM(),
                at.yM(),
                at.zM(),
                new Place(millimetre(place.xM()), millimetre(place.yM()), place.outside()).phrase(),
                Phrase.metres(at.zM()));
    }

    private static double millimetre(double metres) {
        return Math.round(metres * MILLIMETRES) / MILLIMETRES;
    }

    private static double tenth(double value) {
        return Math.round(value * TENTHS) / TENTHS;
    }
}
