package org.oblume.server.photo;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.Frame;
import org.oblume.core.photo.PhotoAim;
import org.oblume.core.photo.PhotoHelp;
import org.oblume.core.photo.PhotoPoint;
import org.oblume.core.photo.PhotoSurvey;
import org.oblume.core.photo.PhotoSurvey.Found;
import org.oblume.core.photo.Resection;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;
import org.oblume.server.photo.SurveyView.SurveyedPoint;

/** What photographs tell, as a page shows it. */
final class SurveyPages {

    private static final double PERCENT = 100;

    private SurveyPages() {}

    static SurveyView page(long shotId, PhotoRound round, List<SurveyView.Round> rounds, ReadPhotographs read) {
        return new SurveyView(
                shotId,
                round.id(),
                rounds,
                IntStream.range(0, read.photos().size())
                        .mapToObj(i -> photo(read, i))
                        .toList(),
                landmarks(read),
                read.things().entrySet().stream()
                        .map(e -> thing(read, read.scene().placement(e.getKey()), e.getValue()))
                        .toList());
    }

    private static SurveyView.TappedPhoto photo(ReadPhotographs read, int index) {
        ReadPhotographs.TappedIn tapped = read.photos().get(index);
        PhotoSurvey.Taken taken = read.survey().photos().get(index);
        PhotoTapsEntity kept = tapped.kept();
        Resection from = taken.from();
        return new SurveyView.TappedPhoto(
                tapped.photo().id(),
                tapped.photo().text(),
                tapped.frame().widthPx(),
                tapped.frame().heightPx(),
                tapped.photo().focal35(),
                tapped.taps(),
                kept == null ? 0 : kept.version(),
                kept == null ? null : kept.author(),
                from == null ? null : pose(from.pose(), tapped.frame()),
                from == null
                        ? null
                        : from.other().map(o -> pose(o, tapped.frame())).orElse(null),
                tapped.stood(),
                taken.problem() == null ? null : taken.problem().getMessage(),
                read.expected(index));
    }

    private static SurveyView.CameraPose pose(Resection.Pose pose, Frame frame) {
        return new SurveyView.CameraPose(
                pose.place(), pose.bearingDeg(), PERCENT * pose.rmsPx() / frame.longerSidePx());
    }

    private static List<SurveyView.SurveyLandmark> landmarks(ReadPhotographs read) {
        List<SurveyView.SurveyLandmark> all = new ArrayList<>();
        for (Landmark landmark : read.scene().set().landmarks()) {
            all.add(landmark(read, landmark.name(), landmark));
        }
        read.unknown().keySet().stream()
                .filter(name -> read.drawn(name).isEmpty())
                .forEach(name -> all.add(landmark(read, name, null)));
        return all;
    }

    private static SurveyView.SurveyLandmark landmark(ReadPhotographs read, String name, @Nullable Landmark drawn) {
        Found found = read.unknown().get(name);
        return new SurveyView.SurveyLandmark(
                name,
                drawn == null ? null : drawn.point(),
                drawn == null ? null : drawn.heightM(),
                found == null ? null : point(read, found),
                found != null && found.point() != null && found.point().tellsMoreThan(null));
    }

    private static SurveyedPoint point(ReadPhotographs read, Found found) {
        PhotoPoint point = found.point();
        PhotoHelp help = point == null || point.quality() != Crossing.POOR
                ? null
                : read.survey().help(found, read.known()).orElse(null);
        boolean isTapped = !found.target().taps().isEmpty();
        return new SurveyedPoint(
                point == null ? null : point.place(),
                point == null ? null : Phrase.width(point.sigmaFloorM()),
                point == null ? null : point.floor(),
                point == null ? null : point.quality(),
                read.survey().photographsOf(found.target()),
                help == null ? null : said(help),
                help == null ? null : help.from(),
                found.problem() == null || !isTapped ? null : found.problem().getMessage());
    }

    private static String said(PhotoHelp help) {
        return help.landmark() == null
                ? "another photograph helps most, from the dashed place on the plan"
                : "%s in photograph %d helps most: tap it".formatted(help.landmark(), help.photo() + 1);
    }

    private static SurveyView.SurveyedThing thing(ReadPhotographs read, Placement thing, Found found) {
        SpacePoint recorded = read.state().position(thing.key()).orElse(null);
        PlanPoint onPlan = recorded == null ? null : recorded.onPlan();
        PlanPoint measured = read.state()
                .value(thing.key(), Place.class)
                .filter(p -> p.measured() != null)
                .map(Place::point)
                .orElse(null);
        PhotoPoint point = found.point();
        return new SurveyView.SurveyedThing(
                thing.key(),
                thing.name(),
                recorded,
                point(read, found),
                onPlan == null || point == null
                        ? null
                        : Phrase.width(onPlan.distanceM(point.place().onPlan())),
                onPlan != null && point != null && point.isElsewhereThan(onPlan),
                point != null && point.tellsMoreThan(measured),
                thing.kind().records(Attribute.AIM),
                aim(read, thing));
    }

    private static SurveyView.@Nullable SurveyedAim aim(ReadPhotographs read, Placement thing) {
        Found spot = read.aims().get(thing.key());
        if (spot == null || spot.target().taps().isEmpty()) {
            return null;
        }
        PhotoAim found = read.aim(thing.key()).orElse(null);
        if (found == null) {
            String problem = spot.problem() == null
                    ? "%s is to be found first: tap it in the photographs as well.".formatted(thing.name())
                    : spot.problem().getMessage();
            return new SurveyView.SurveyedAim(null, null, null, false, false, problem);
        }
        Aim recorded = read.state().aim(thing.key()).orElse(null);
        boolean isElsewhere = recorded != null && found.isElsewhereThan(recorded.bearing());
        return new SurveyView.SurveyedAim(
                found.aim().bearing().degrees(),
                setting(found).say(),
                "%.1f°".formatted(found.sigmaDeg()),
                isElsewhere,
                found.isSure() && (recorded == null || isElsewhere),
                null);
    }

    /** The aim to keep, to whole degrees. */
    static AimSetting setting(PhotoAim found) {
        return AimSetting.along(
                Math.rint(found.aim().bearing().degrees()),
                Math.rint(found.aim().tiltDeg()));
    }
}
