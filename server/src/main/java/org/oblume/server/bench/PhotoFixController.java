package org.oblume.server.bench;

import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.Frame;
import org.oblume.core.photo.PhotoFix;
import org.oblume.core.photo.PhotoPoint;
import org.oblume.core.photo.Resection;
import org.oblume.core.photo.Tap;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Where photographs were taken from, and where what is tapped in them stands. */
@ForAnyone
@Asks
@RestController
class PhotoFixController {

    record TappedLandmark(@Nullable String landmark, @Nullable Double u, @Nullable Double v) {}

    record PhotoAsked(
            @Nullable Double widthPx,
            @Nullable Double heightPx,
            @Nullable Double f35,
            @Nullable List<@Nullable TappedLandmark> marks) {}

    record KnownLandmark(@Nullable String name, @Nullable Double x, @Nullable Double y, @Nullable Double z) {}

    record TargetTapped(@Nullable Double photo, @Nullable Double u, @Nullable Double v) {}

    record TargetAsked(@Nullable String name, @Nullable List<@Nullable TargetTapped> taps, @Nullable Double heightM) {}

    record PhotoFixAsked(
            @Nullable List<@Nullable PhotoAsked> photos,
            @Nullable List<@Nullable KnownLandmark> landmarks,
            @Nullable List<@Nullable TargetAsked> targets) {}

    /** A place that a photograph may have been taken from. */
    record PhotoPlace(
            double x, double y, double z, double bearingDeg, double tiltDeg, double rollDeg, double fPx, double rmsPx) {

        static PhotoPlace of(Resection.Pose pose) {
            SpacePoint at = pose.place();
            return new PhotoPlace(
                    at.xM(),
                    at.yM(),
                    at.zM(),
                    pose.bearingDeg(),
                    pose.tiltDeg(),
                    pose.rollDeg(),
                    pose.focalPx(),
                    pose.rmsPx());
        }
    }

    /** @param others another place that fits as well, at most one */
    record PhotoAnswer(
            double x,
            double y,
            double z,
            double bearingDeg,
            double tiltDeg,
            double rollDeg,
            double fPx,
            double rmsPx,
            List<PhotoPlace> others) {

        static PhotoAnswer of(Resection photo) {
            PhotoPlace at = PhotoPlace.of(photo.pose());
            return new PhotoAnswer(
                    at.x,
                    at.y,
                    at.z,
                    at.bearingDeg,
                    at.tiltDeg,
                    at.rollDeg,
                    at.fPx,
                    at.rmsPx,
                    photo.other().map(PhotoPlace::of).stream().toList());
        }
    }

    record TargetAnswer(
            String name, double x, double y, double z, double sigmaFloorM, double sigmaHeightM, Crossing quality) {

        static TargetAnswer of(String name, PhotoPoint found) {
            SpacePoint at = found.place();
            return new TargetAnswer(
                    name, at.xM(), at.yM(), at.zM(), found.sigmaFloorM(), found.sigmaHeightM(), found.quality());
        }
    }

    record PhotoFixAnswer(List<PhotoAnswer> photos, List<TargetAnswer> targets) {}

    @PostMapping("/api/bench/photo-fix")
    PhotoFixAnswer photoFix(@RequestBody PhotoFixAsked asked) {
        List<PhotoFix.Target> targets = RequestValues.list("targets", asked.targets()).stream()
                .map(PhotoFixController::target)
                .toList();
        PhotoFix fix = PhotoFix.of(
                RequestValues.list("photos", asked.photos()).stream()
                        .map(PhotoFixController::photo)
                        .toList(),
                RequestValues.list("landmarks", asked.landmarks()).stream()
                        .map(l -> new PhotoFix.KnownPoint(
                                RequestValues.required("name", l.name),
                                new SpacePoint(
                                        RequestValues.number("x", l.x),
                                        RequestValues.number("y", l.y),
                                        RequestValues.number("z", l.z))))
                        .toList(),
                targets);
        return new PhotoFixAnswer(
                fix.photos().stream().map(PhotoAnswer::of).toList(),
                IntStream.range(0, targets.size())
                        .mapToObj(i -> TargetAnswer.of(
                                targets.get(i).name(), fix.targets().get(i)))
                        .toList());
    }

    private static PhotoFix.Photo photo(PhotoAsked asked) {
        return new PhotoFix.Photo(
                new Frame(
                        RequestValues.whole("widthPx", asked.widthPx),
                        RequestValues.whole("heightPx", asked.heightPx),
                        asked.f35 == null ? null : Double.valueOf(RequestValues.number("f35", asked.f35))),
                RequestValues.list("marks", asked.marks).stream()
                        .map(m -> new PhotoFix.Mark(RequestValues.required("landmark", m.landmark), tap(m.u, m.v)))
                        .toList());
    }

    private static PhotoFix.Target target(TargetAsked asked) {
        return new PhotoFix.Target(
                RequestValues.required("name", asked.name),
                RequestValues.list("taps", asked.taps).stream()
                        .map(t -> new PhotoFix.TargetTap(RequestValues.whole("photo", t.photo), tap(t.u, t.v)))
                        .toList(),
                asked.heightM == null ? null : Double.valueOf(RequestValues.number("heightM", asked.heightM)));
    }

    private static Tap tap(@Nullable Double u, @Nullable Double v) {
        return new Tap(RequestValues.number("u", u), RequestValues.number("v", v));
    }
}
