package org.oblume.server.bench;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Polar;
import org.oblume.core.geometry.Side;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.TapeFix;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.geometry.Walls;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A stand from two tapes, the tapes of a stand, and the way a head points. */
@ForAnyone
@Asks
@RestController
@RequestMapping("/api/bench")
class TapeController {

    /** A point of the plan, metres. */
    record Flat(@Nullable Double x, @Nullable Double y) {

        static PlanPoint point(String field, @Nullable Flat flat) {
            Flat given = RequestValues.required(field, flat);
            return PlanPoint.of(RequestValues.number("x", given.x), RequestValues.number("y", given.y));
        }
    }

    record TwoTapes(
            @Nullable Flat a,
            @Nullable Flat b,
            @Nullable Double distanceAM,
            @Nullable Double distanceBM,
            @Nullable Side side,
            @Nullable Double tapeErrorM) {}

    record TapeAnswer(
            double x,
            double y,
            double crossingAngleDeg,
            Crossing quality,
            double positionErrorM,
            Phrase positionError) {}

    @PostMapping("/tape")
    TapeAnswer tape(@RequestBody TwoTapes asked) {
        TapeFix fix = TapeFix.of(
                Flat.point("a", asked.a()),
                Flat.point("b", asked.b()),
                RequestValues.number("distanceAM", asked.distanceAM()),
                RequestValues.number("distanceBM", asked.distanceBM()),
                RequestValues.required("side", asked.side()),
                RequestValues.number("tapeErrorM", asked.tapeErrorM(), TapeFix.DEFAULT_TAPE_ERROR_M));
        return new TapeAnswer(
                fix.point().xM(),
                fix.point().yM(),
                fix.crossingAngleDeg(),
                fix.crossing(),
                fix.positionErrorM(),
                Phrase.width(fix.positionErrorM()));
    }

    record PolarAsked(
            @Nullable Flat mark,
            @Nullable Flat camera,
            @Nullable Double distanceM,
            @Nullable Double offDeg,
            @Nullable Side side) {}

    record PolarAnswer(double x, double y) {}

    /** A place told from a mark: along the floor, and off the way to the camera. */
    @PostMapping("/polar")
    PolarAnswer polar(@RequestBody PolarAsked asked) {
        PlanPoint point = new Polar(
                        "the mark",
                        Flat.point("mark", asked.mark()),
                        Flat.point("camera", asked.camera()),
                        RequestValues.number("distanceM", asked.distanceM()),
                        RequestValues.number("offDeg", asked.offDeg()),
                        RequestValues.required("side", asked.side()))
                .point();
        return new PolarAnswer(point.xM(), point.yM());
    }

    record NamedPoint(@Nullable String name, @Nullable Double x, @Nullable Double y) {

        Landmark landmark() {
            return new Landmark(RequestValues.required("name", name), Flat.point("landmarks", new Flat(x, y)));
        }
    }

    record TapeOutAsked(@Nullable Flat point, @Nullable List<@Nullable NamedPoint> landmarks) {}

    record TapeOutAnswer(
            String a,
            String b,
            double distanceAM,
            double distanceBM,
            Side side,
            double crossingAngleDeg,
            Crossing quality) {}

    @PostMapping("/tape-out")
    TapeOutAnswer tapeOut(@RequestBody TapeOutAsked asked) {
        PlanPoint point = Flat.point("point", asked.point());
        List<Landmark> landmarks = RequestValues.list("landmarks", asked.landmarks()).stream()
                .map(NamedPoint::landmark)
                .toList();
        if (landmarks.size() < 2) {
            throw new Refusal("landmarks", "Two tapes need two landmarks: name one more.");
        }
        TapePair pair = TapePair.choose(point, landmarks, Walls.NONE);
        return new TapeOutAnswer(
                pair.a().name(),
                pair.b().name(),
                pair.distanceAM(),
                pair.distanceBM(),
                pair.side(),
                pair.crossingAngleDeg(),
                pair.crossing());
    }

    record Spot(@Nullable Double x, @Nullable Double y, @Nullable Double z) {

        static SpacePoint point(String field, @Nullable Spot spot) {
            Spot given = RequestValues.required(field, spot);
            return new SpacePoint(
                    RequestValues.number("x", given.x),
                    RequestValues.number("y", given.y),
                    RequestValues.number("z", given.z));
        }
    }

    record FromTo(@Nullable Spot from, @Nullable Spot to) {}

    record AimAnswer(double bearingDeg, double tiltDeg, double distanceM) {}

    @PostMapping("/aim")
    AimAnswer aim(@RequestBody FromTo asked) {
        SpacePoint from = Spot.point("from", asked.from());
        SpacePoint to = Spot.point("to", asked.to());
        Aim aim = Aim.between(from, to);
        return new AimAnswer(aim.bearing().degrees(), aim.tiltDeg(), from.distanceM(to));
    }
}
