package org.oblume.core.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.PhotoFix.KnownPoint;
import org.oblume.core.photo.PhotoFix.Mark;
import org.oblume.core.photo.PhotoFix.Photo;
import org.oblume.core.photo.PhotoFix.Target;
import org.oblume.core.photo.PhotoFix.TargetTap;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

/** A shed of 8 by 6 m, photographed from three of its corners: what was tapped says where one stood and where the head stands. */
class PhotoFixTest {

    private static final Frame WIDE = new Frame(4000, 3000, 26.0);
    private static final SpacePoint HEAD = new SpacePoint(5.1, 4.4, 2.3);

    private static final List<KnownPoint> LANDMARKS = List.of(
            new KnownPoint("door head", new SpacePoint(8, 2.2, 2.1)),
            new KnownPoint("sill", new SpacePoint(8, 5, 0.9)),
            new KnownPoint("beam end", new SpacePoint(6.4, 6, 2.4)),
            new KnownPoint("stove corner", new SpacePoint(3.1, 5.2, 0.75)),
            new KnownPoint("bench corner", new SpacePoint(4.2, 3.1, 0.72)),
            new KnownPoint("hatch corner", new SpacePoint(2.2, 6, 1.4)),
            new KnownPoint("stair foot", new SpacePoint(6.8, 3.6, 0)),
            new KnownPoint("rail end", new SpacePoint(5.6, 5.6, 1.1)),
            new KnownPoint("lintel", new SpacePoint(7.0, 4.4, 2.05)),
            new KnownPoint("pillar", new SpacePoint(4.9, 5.2, 1.9)),
            new KnownPoint("crate", new SpacePoint(3.4, 4.4, 0.5)));

    private final Random random = new Random(7);

    private static Pinhole camera(Frame frame, double x, double y, double z, double bearing, double tilt, double roll) {
        return new Pinhole(frame, new double[] {
            x, y, z, Math.toRadians(bearing), Math.toRadians(tilt), Math.toRadians(roll), Math.log(26.0 / 36 * 4000)
        });
    }

    private static List<Pinhole> corners(Frame frame) {
        return List.of(
                camera(frame, 0.6, 0.7, 1.6, 48, 2, 1),
                camera(frame, 7.4, 0.5, 1.5, 325, -1, 0),
                camera(frame, 0.4, 3.4, 1.7, 75, 0, -2));
    }

    private Tap tap(Pinhole camera, SpacePoint at, double spread) {
        Tap exact = camera.project(at);
        double pixels = spread * camera.frame().longerSidePx();
        return new Tap(exact.u() + pixels * random.nextGaussian(), exact.v() + pixels * random.nextGaussian());
    }

    private static boolean isInside(Pinhole camera, SpacePoint at) {
        if (!camera.isBefore(at)) {
            return false;
        }
        Tap tap = camera.project(at);
        return tap.u() >= 100
                && tap.u() <= camera.frame().widthPx() - 100
                && tap.v() >= 100
                && tap.v() <= camera.frame().heightPx() - 100;
    }

    private Photo photo(Pinhole camera, double spread) {
        return new Photo(
                camera.frame(),
                LANDMARKS.stream()
                        .filter(l -> isInside(camera, l.at()))
                        .map(l -> new Mark(l.name(), tap(camera, l.at(), spread)))
                        .toList());
    }

    private PhotoFix fix(List<Pinhole> cameras, double spread) {
        List<TargetTap> taps = new ArrayList<>();
        for (int i = 0; i < cameras.size(); i++) {
            taps.add(new TargetTap(i, tap(cameras.get(i), HEAD, spread)));
        }
        return PhotoFix.of(
                cameras.stream().map(c -> photo(c, spread)).toList(),
                LANDMARKS,
                List.of(new Target("Heron", taps, null)));
    }

    private static PhotoFix ofTaps(Photo photo, @Nullable Double heightM, TargetTap... taps) {
        return PhotoFix.of(List.of(photo), LANDMARKS, List.of(new Target("Heron", List.of(taps), heightM)));
    }

    private static void assertRefused(String field, String sentence, ThrowingCallable asked) {
        assertThatThrownBy(asked)
                .isInstanceOfSatisfying(
                        Refusal.class, refused -> assertThat(refused.field()).isEqualTo(field))
                .hasMessageContaining(sentence);
    }

    @Test
    void exactTapsGiveThePlaceOfTheCameraAndOfTheHead() {
        List<Pinhole> cameras = corners(WIDE);
        PhotoFix fix = fix(cameras, 0);
        for (int i = 0; i < cameras.size(); i++) {
            assertThat(fix.photos()
                            .get(i)
                            .pose()
                            .place()
                            .distanceM(cameras.get(i).place()))
                    .isLessThan(1e-4);
            assertThat(fix.photos().get(i).pose().rmsPx()).isLessThan(1e-3);
        }
        assertThat(fix.photos().get(1).pose().bearingDeg()).isCloseTo(325, within(1e-3));
        assertThat(fix.photos().get(2).pose().rollDeg()).isCloseTo(-2, within(1e-3));
        assertThat(fix.targets().get(0).place().distanceM(HEAD)).isLessThan(1e-4);
    }

    @Test
    void aPhotographThatIsTurnedIsFoundAsItWasHeld() {
        Frame upright = new Frame(3000, 4000, 26.0);
        PhotoFix fix =
                fix(List.of(camera(upright, 0.6, 0.7, 1.6, 55, -4, 90), camera(WIDE, 7.4, 0.5, 1.5, 325, -1, 180)), 0);
        assertThat(fix.photos().get(0).pose().rollDeg()).isCloseTo(90, within(1e-2));
        assertThat(Math.abs(fix.photos().get(1).pose().rollDeg())).isCloseTo(180, within(1e-2));
        assertThat(fix.targets().get(0).place().distanceM(HEAD)).isLessThan(1e-3);
    }

    @Test
    void aPhotographWithoutItsFigureFindsItsLens() {
        Frame cropped = new Frame(4000, 3000, null);
        PhotoFix fix = fix(corners(cropped).subList(0, 2), 0);
        assertThat(fix.photos().get(0).pose().focalPx()).isCloseTo(26.0 / 36 * 4000, within(0.5));
    }

    /** Two thirds of all places are within the spread that is told of them, nineteen of twenty within twice it: as a circle, not by an axis. */
    @Test
    void whatIsToldOfTheSpreadIsSo() {
        int runs = 120;
        int within = 0;
        int withinTwice = 0;
        for (int i = 0; i < runs; i++) {
            PhotoPoint found =
                    fix(corners(WIDE).subList(0, 2), Tap.SPREAD).targets().get(0);
            double off =
                    Math.hypot(found.place().xM() - HEAD.xM(), found.place().yM() - HEAD.yM());
            within += off <= found.sigmaFloorM() ? 1 : 0;
            withinTwice += off <= 2 * found.sigmaFloorM() ? 1 : 0;
        }
        assertThat((double) within / runs).isBetween(0.55, 0.8);
        assertThat((double) withinTwice / runs).isGreaterThan(0.92);
    }

    @Test
    void aThirdPhotographTellsThePlaceBetter() {
        double two = fix(corners(WIDE).subList(0, 2), 0).targets().get(0).sigmaFloorM();
        assertThat(fix(corners(WIDE), 0).targets().get(0).sigmaFloorM()).isLessThan(two);
    }

    /** The ellipse is longest in the way that the drawn places stray most, and its axes say how far. */
    @Test
    void theEllipseLiesAsPlacesStray() {
        List<Pinhole> cameras = corners(WIDE).subList(0, 2);
        FloorSpread told = fix(cameras, 0).targets().get(0).floor();
        double along = Math.toRadians(told.bearingDeg());
        double lengthwise = 0;
        double across = 0;
        int runs = 120;
        for (int i = 0; i < runs; i++) {
            SpacePoint at = fix(cameras, Tap.SPREAD).targets().get(0).place();
            double x = at.xM() - HEAD.xM();
            double y = at.yM() - HEAD.yM();
            lengthwise += Math.pow(x * Math.sin(along) + y * Math.cos(along), 2) / runs;
            across += Math.pow(x * Math.cos(along) - y * Math.sin(along), 2) / runs;
        }
        assertThat(Math.sqrt(lengthwise)).isCloseTo(told.longM(), within(0.3 * told.longM()));
        assertThat(Math.sqrt(across)).isCloseTo(told.shortM(), within(0.3 * told.shortM()));
    }

    /** What is told to help is done, and the place strays less. */
    private static PhotoSurvey surveyed(List<Photo> photos, Map<String, SpacePoint> known, List<Target> targets) {
        return PhotoSurvey.of(
                photos.stream()
                        .map(p -> PhotoSurvey.taken(new PhotoSurvey.Tapped(p, null), known))
                        .toList(),
                targets);
    }

    @Test
    void whatIsToldToHelpHelps() {
        Pinhole left = camera(WIDE, 0.6, 0.7, 1.6, 48, 2, 1);
        Pinhole beside = camera(WIDE, 1.4, 0.6, 1.6, 42, 0, 0);
        Map<String, SpacePoint> known = new LinkedHashMap<>();
        LANDMARKS.forEach(l -> known.put(l.name(), l.at()));
        List<TargetTap> taps = List.of(new TargetTap(0, left.project(HEAD)), new TargetTap(1, beside.project(HEAD)));
        Target heron = new Target("Heron", taps, null);
        Photo few = new Photo(WIDE, photo(left, 0).marks().subList(0, 4));
        PhotoSurvey survey = surveyed(List.of(few, photo(beside, 0)), known, List.of(heron));
        PhotoSurvey.Found found = survey.found().get(0);
        PhotoHelp help = survey.help(found, known).orElseThrow();
        assertThat(help.photo()).isZero();
        List<Mark> more = new ArrayList<>(few.marks());
        more.add(new Mark(help.landmark(), left.project(known.get(help.landmark()))));
        PhotoSurvey then = surveyed(List.of(new Photo(WIDE, more), photo(beside, 0)), known, List.of(heron));
        assertThat(then.found().get(0).point().sigmaFloorM())
                .isLessThan(found.point().sigmaFloorM());

        PhotoSurvey whole = surveyed(List.of(photo(left, 0), photo(beside, 0)), known, List.of(heron));
        PlanPoint from =
                whole.help(whole.found().get(0), Map.of()).orElseThrow().from();
        Pinhole third = camera(
                WIDE,
                from.xM(),
                from.yM(),
                1.6,
                Math.toDegrees(Math.atan2(HEAD.xM() - from.xM(), HEAD.yM() - from.yM())),
                0,
                0);
        List<TargetTap> three = new ArrayList<>(taps);
        three.add(new TargetTap(2, third.project(HEAD)));
        PhotoSurvey better = surveyed(
                List.of(photo(left, 0), photo(beside, 0), photo(third, 0)),
                known,
                List.of(new Target("Heron", three, null)));
        assertThat(better.found().get(0).point().sigmaFloorM())
                .isLessThan(whole.found().get(0).point().sigmaFloorM() / 2);
    }

    @Test
    void onePhotographAndTheHeightGiveThePlace() {
        Pinhole camera = corners(WIDE).get(0);
        Photo photo = photo(camera, 0);
        TargetTap tap = new TargetTap(0, camera.project(HEAD));
        assertThat(ofTaps(photo, 2.3, tap).targets().get(0).place().distanceM(HEAD))
                .isLessThan(1e-3);
        assertRefused("taps", "give its height", () -> ofTaps(photo, null, tap));
        assertRefused("taps", "away from it", () -> ofTaps(photo, 1.0, tap));
        TargetTap level = new TargetTap(0, camera.project(new SpacePoint(5.1, 4.4, 1.7)));
        assertRefused("taps", "almost level", () -> ofTaps(photo, 1.7, level));
        assertRefused("taps", "no photograph", () -> ofTaps(photo, 2.3));
        assertRefused("photo", "twice", () -> ofTaps(photo, null, tap, tap));
        assertRefused("photo", "which is not there", () -> ofTaps(photo, null, new TargetTap(1, tap.tap())));
        assertRefused("u", "pixels from the left", () -> ofTaps(photo, 2.3, new TargetTap(0, new Tap(4001, 5))));
    }

    @Test
    void twoPhotographsFromOnePlaceDoNotTellHowFarItIs() {
        Pinhole camera = corners(WIDE).get(0);
        assertRefused("taps", "further round", () -> fix(List.of(camera, camera), 0));
    }

    @Test
    void anotherThingTappedInTheSecondPhotographIsNoticed() {
        List<Pinhole> cameras = corners(WIDE).subList(0, 2);
        List<TargetTap> taps = List.of(
                new TargetTap(0, cameras.get(0).project(HEAD)),
                new TargetTap(1, cameras.get(1).project(new SpacePoint(3.4, 4.2, 0.8))));
        assertRefused(
                "taps",
                "the same thing is tapped in each",
                () -> PhotoFix.of(
                        cameras.stream().map(c -> photo(c, 0)).toList(),
                        LANDMARKS,
                        List.of(new Target("Heron", taps, null))));
    }

    @Test
    void twoNamesThatAreSwappedAreRefusedAndAMirroredPictureToo() {
        Photo photo = photo(corners(WIDE).get(0), 0);
        List<Mark> swapped = new ArrayList<>(photo.marks());
        swapped.set(
                0,
                new Mark(photo.marks().get(0).landmark(), photo.marks().get(1).tap()));
        swapped.set(
                1,
                new Mark(photo.marks().get(1).landmark(), photo.marks().get(0).tap()));
        assertRefused("marks", "does not agree", () -> ofTaps(new Photo(WIDE, swapped), null));
        List<Mark> mirrored = photo.marks().stream()
                .map(m -> new Mark(
                        m.landmark(), new Tap(4000 - m.tap().u(), m.tap().v())))
                .toList();
        assertRefused("marks", "", () -> ofTaps(new Photo(WIDE, mirrored), null));
    }

    /** Each derivative against the difference that it stands for. */
    @Test
    void howAPictureChangesWithItsPoseAndAPointIsWhatADifferenceSays() {
        double[] pose = {0.6, 0.7, 1.6, 0.8, 0.1, 0.3, Math.log(2900)};
        Pinhole camera = new Pinhole(WIDE, pose);
        double step = 1e-6;
        for (int i = 0; i < Pinhole.UNKNOWNS; i++) {
            double[] moved = pose.clone();
            moved[i] += step;
            Tap there = new Pinhole(WIDE, moved).project(HEAD);
            assertThat((there.u() - camera.project(HEAD).u()) / step)
                    .isCloseTo(camera.byPose(HEAD)[0][i], within(0.05));
            assertThat((there.v() - camera.project(HEAD).v()) / step)
                    .isCloseTo(camera.byPose(HEAD)[1][i], within(0.05));
        }
        Tap right = camera.project(new SpacePoint(HEAD.xM() + step, HEAD.yM(), HEAD.zM()));
        assertThat((right.u() - camera.project(HEAD).u()) / step).isCloseTo(camera.byPoint(HEAD)[0][0], within(0.05));
    }

    @Test
    void whoSaysWhereTheyStoodHasTheOtherOfTwoPlacesThatFit() {
        Frame frame = new Frame(3264, 2448, 26.0);
        Map<String, SpacePoint> window = Map.of(
                "sill left", new SpacePoint(2.42, 4.78, 0.91),
                "sill right", new SpacePoint(3.25, 4.78, 0.91),
                "window head", new SpacePoint(3.25, 4.78, 1.86),
                "beam end", new SpacePoint(2.42, 4.78, 1.86));
        Photo afar = new Photo(
                frame,
                List.of(
                        new Mark("sill left", new Tap(1580.7, 1420.5)),
                        new Mark("sill right", new Tap(1957.5, 1439.1)),
                        new Mark("window head", new Tap(1963.5, 976.1)),
                        new Mark("beam end", new Tap(1579.7, 971.7))));
        Resection best =
                PhotoSurvey.taken(new PhotoSurvey.Tapped(afar, null), window).from();
        Resection stood = PhotoSurvey.taken(new PhotoSurvey.Tapped(afar, PlanPoint.of(1.5, 0.2)), window)
                .from();
        assertThat(best.pose().place().xM()).isCloseTo(4.24, within(0.08));
        assertThat(stood.pose().place().xM()).isCloseTo(1.71, within(0.24));
        assertThat(stood.pose()).isEqualTo(best.other().orElseThrow());
        assertThat(stood.other()).contains(best.pose());
        SpacePoint seen = new SpacePoint(2.8, 4.78, 1.4);
        assertThat(stood.sees(seen)).isNotEqualTo(best.sees(seen));
    }

    @Test
    void theBearingOfAnAimIsAsSureAsItsSpotsAre() {
        List<Pinhole> cameras = corners(WIDE);
        SpacePoint spot = new SpacePoint(3.4, 2.6, 1.1);
        int within = 0;
        int runs = 24;
        for (int i = 0; i < runs; i++) {
            PhotoPoint head = found(cameras, HEAD, Tap.SPREAD);
            PhotoAim aim = PhotoAim.of(head, found(cameras, spot, Tap.SPREAD)).orElseThrow();
            double off = aim.aim().bearing().minus(Bearing.fromOffset(spot.xM() - HEAD.xM(), spot.yM() - HEAD.yM()));
            within += Math.abs(off) < aim.sigmaDeg() ? 1 : 0;
            assertThat(aim.isSure()).isTrue();
        }
        assertThat(within).isBetween(runs / 2, runs * 9 / 10);
        PhotoPoint exact = found(cameras, HEAD, 0);
        assertThat(PhotoAim.of(exact, exact)).isEmpty();
        PhotoAim aim = PhotoAim.of(exact, found(cameras, spot, 0)).orElseThrow();
        assertThat(aim.aim().tiltDeg()).isCloseTo(-25.86, within(0.01));
        assertThat(aim.isElsewhereThan(Bearing.ofDegrees(aim.aim().bearing().degrees() + 1.9)))
                .isFalse();
        assertThat(aim.isElsewhereThan(Bearing.ofDegrees(aim.aim().bearing().degrees() + 25)))
                .isTrue();
    }

    private PhotoPoint found(List<Pinhole> cameras, SpacePoint at, double spread) {
        List<TargetTap> taps = new ArrayList<>();
        for (int i = 0; i < cameras.size(); i++) {
            taps.add(new TargetTap(i, tap(cameras.get(i), at, spread)));
        }
        return PhotoFix.of(
                        cameras.stream().map(c -> photo(c, spread)).toList(),
                        LANDMARKS,
                        List.of(new Target("Spot", taps, null)))
                .targets()
                .get(0);
    }

    @Test
    void aPlaceIsElsewhereSoonerAcrossTheWayInWhichItStrays() {
        FloorSpread thin = FloorSpread.of(0.0004, 0, 0.09);
        assertThat(thin.deviationsTo(0.3, 0, 0)).isCloseTo(15, within(1e-9));
        assertThat(thin.deviationsTo(0, 0.3, 0)).isCloseTo(1, within(1e-9));
        assertThat(thin.along(0)).isCloseTo(0.3, within(1e-9));
        assertThat(thin.along(90)).isCloseTo(0.02, within(1e-9));
    }
}
