package org.oblume.core.continuity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.continuity.Match.Verdict;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.light.Stage;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.Signals;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Stop;

class ShotAssessmentTest {

    private final Stage stage = Stage.blackRoom()
            .camera(0, 4)
            .head("key", Role.KEY, 2, 2, 1.5)
            .tie("key", new Place(2, 2, false))
            .head("fill", Role.FILL, -2, 2, 1.5);

    @Test
    void aShotIsJudgedAtTheMarkThatTheCameraLooksAt() {
        withSecondMark();
        assertThat(judging().mark()).hasValueSatisfying(m -> assertThat(m.key()).isEqualTo("mark"));
        stage.tie("camera", AimSetting.atMark("visitor", 1.5));
        assertThat(judging().mark()).hasValueSatisfying(m -> assertThat(m.key()).isEqualTo("visitor"));
    }

    @Test
    void whereTheCameraLooksAtNoMarkOrAtOneThatIsStruckItIsTheFirstThatStands() {
        withSecondMark();
        stage.tie("camera", AimSetting.along(180, 0));
        assertThat(judging().mark()).hasValueSatisfying(m -> assertThat(m.key()).isEqualTo("mark"));
        stage.tie("camera", AimSetting.atMark("mark", 1.5)).tie("mark", new SetStatus(SetStatus.State.STRUCK));
        assertThat(judging().mark()).hasValueSatisfying(m -> assertThat(m.key()).isEqualTo("visitor"));
    }

    @Test
    void withoutAMarkThereIsNothingToJudgeAndNothingBreaks() {
        stage.tie("mark", new SetStatus(SetStatus.State.STRUCK));
        ShotAssessment now = judging(all(200, 50));
        assertThat(now.mark()).isEmpty();
        assertThat(now.figures().of()).isEmpty();
        assertThat(now.cheats()).isEmpty();
        assertThat(now.facing()).isEmpty();
        assertThat(now.cameraFrom()).isEmpty();
        assertThat(now.greyCards(now.figures())).containsExactly(null, null, null);
    }

    @Test
    void readingsAtAnotherMarkAreNotOfTheOneThatIsJudged() {
        withSecondMark();
        Reading elsewhere = new Reading("visitor", null, 900.0, 10.0, null, null, null, Signals.NONE);
        assertThat(judging(elsewhere).figures().anyMetered()).isFalse();
        stage.tie("camera", AimSetting.atMark("visitor", 1.5));
        assertThat(judging(elsewhere).figures().anyMetered()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"PLACE,CHEAT,true", "AIM,CHEAT,true", "LEVEL,CHEAT,false", "PLACE,MATCH,false", "PLACE,FIX,false"})
    void onlyAKeyWhosePlaceOrAimWasCalledACheatStillsItsSide(Attribute attribute, Reason reason, boolean stills) {
        assertThat(judging(withReason("key", attribute, reason, null)).cheats().containsKey(Aspect.KEY_SIDE))
                .isEqualTo(stills);
    }

    @Test
    void aCheatOfTheFillIsNoWordAboutTheKey() {
        assertThat(judging(withReason("fill", Attribute.PLACE, Reason.CHEAT, null))
                        .cheats())
                .isEmpty();
    }

    @Test
    void aCheatSaysWhyAndWho() {
        Waiver said = judging(withReason("key", Attribute.PLACE, Reason.CHEAT, "It would stand in the picture."))
                .cheats()
                .get(Aspect.KEY_SIDE);
        assertThat(said).isEqualTo(new Waiver(Waiver.Cause.CHEAT, "It would stand in the picture.", "gaffer"));
        assertThat(judging(withReason("key", Attribute.PLACE, Reason.CHEAT, null))
                        .cheats()
                        .get(Aspect.KEY_SIDE)
                        .reason())
                .isEqualTo("Called a cheat in 1A.");
    }

    @Test
    void theCameraIsSeenFromTheMarkAndTheSubjectLooksItsOwnWay() {
        assertThat(judging().cameraFrom())
                .hasValueSatisfying(b -> assertThat(b.degrees()).isCloseTo(0, within(1e-6)));
        stage.tie("camera", new Place(4, 0, true)).tie("mark", AimSetting.along(90, 0));
        assertThat(judging().cameraFrom())
                .hasValueSatisfying(b -> assertThat(b.degrees()).isCloseTo(90, within(1e-6)));
        assertThat(judging().facing())
                .hasValueSatisfying(b -> assertThat(b.degrees()).isEqualTo(90));
    }

    @Test
    void greyCardsAreAsBrightAsTheFiguresSay() {
        stage.tie("key", new Level(6)).tie("fill", new Level(1));
        ShotAssessment predicted = judging();
        int lit = predicted.greyCards(predicted.figures()).get(0).red();
        int shadow = predicted.greyCards(predicted.figures()).get(1).red();
        assertThat(lit).isGreaterThan(shadow);
        double needed = stage.light()
                .metering()
                .orElseThrow()
                .exposure()
                .required(stage.light().metering().orElseThrow().stop())
                .lux();
        ShotAssessment read = judging(all(needed, needed / 4));
        assertThat(read.greyCards(read.figures()).get(0).red())
                .as("18 % at the camera's stop")
                .isBetween(100, 118);
        assertThat(read.greyCards(read.figures()).get(1).red())
                .as("two stops below")
                .isBetween(50, 62);
    }

    @Test
    void aCameraWithoutExposureShowsCardsAllTheSame() {
        Stage bare = Stage.blackRoom().head("key", Role.KEY, 2, 2, 1.5);
        ShotAssessment now = new ShotAssessment(
                bare.recording(),
                bare.state(),
                bare.light(),
                List.of(),
                RatioConvention.LIT_TO_SHADOW,
                ShippedCurve.NONE);
        assertThat(now.greyCards(now.figures()).get(0)).isNotNull();
        assertThat(now.cameraFrom()).isEmpty();
    }

    @Test
    void eachLightIsJudgedByItsNewestReadingAlone() {
        double key = stage.light().facingLux("key", "mark");
        List<ShotAssessment.Head> heads =
                judging(alone("key", key * 2), alone("key", key)).heads(Tolerances.HOLD, List.of());
        assertThat(heads).extracting(h -> h.light().key()).containsExactly("key", "fill");
        assertThat(heads.get(0).verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(heads.get(1).verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(heads.get(1).check()).isNull();
        assertThat(judging(alone("key", key), alone("key", key * 2))
                        .heads(Tolerances.HOLD, List.of())
                        .get(0)
                        .verdict())
                .isEqualTo(Verdict.OUT);
    }

    @Test
    void whatIsStillToBeReadGetsShorterWithEachReading() {
        double key = stage.light().facingLux("key", "mark");
        assertThat(toRead())
                .containsExactly(
                        "All lights at Repairer, lit cheek and shadow cheek",
                        "key alone: stop and colour",
                        "fill alone: stop and colour");
        assertThat(toRead(alone("key", key))).hasSize(2).noneMatch(t -> t.startsWith("key"));
        assertThat(toRead(alone("key", key), all(100, 50))).containsExactly("fill alone: stop and colour");
    }

    @Test
    void eachMarkIsReadOnBothCheeksBeforeThereIsAVerdict() {
        withSecondMark();
        Reading lit = new Reading("mark", null, 100.0, null, null, null, null, Signals.NONE);
        Reading shadow =
                new Reading("mark", null, null, null, null, null, null, new Signals(null, 16.0, null, null, null));
        assertThat(judging(lit).unread())
                .containsExactly(
                        "All lights at Repairer, shadow cheek", "All lights at Visitor, lit cheek and shadow cheek");
        assertThat(judging(lit, shadow).unread())
                .as("the monitor reads a cheek as well as a meter does")
                .containsExactly("All lights at Visitor, lit cheek and shadow cheek");
        assertThat(judging(lit, shadow, new Reading("visitor", null, 80.0, 20.0, null, null, null, Signals.NONE))
                        .unread())
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"90,false,135", "180,false,225", "0,true,315", "90,true,45"})
    void theSideOfTheWorldTurnsWithThePlaceThatItIsRebuiltIn(double turn, boolean mirrored, double side) {
        Figures there = judging().figures().on(new PlanFit(mirrored, turn, 3, 4, List.of()));
        assertThat(there.of().get(Aspect.KEY_SIDE).value()).isCloseTo(side, within(0.01));
        assertThat(there.of().get(Aspect.RATIO))
                .isEqualTo(judging().figures().of().get(Aspect.RATIO));
    }

    @Test
    void inTheSamePlaceNothingTurns() {
        assertThat(judging().figures().on(PlanFit.NONE)).isEqualTo(judging().figures());
    }

    @Test
    void aMatchSaysWhatIsOffAndNothingWhenItHolds() {
        Figures recorded = judging().figures();
        assertThat(Match.of(recorded, recorded, Tolerances.HOLD, Map.of()).say())
                .isEmpty();
        stage.tie("camera", new Stop(4));
        Match off = Match.of(recorded, judging().figures(), Tolerances.HOLD, Map.of());
        assertThat(off.say()).isEqualTo("Lit cheek is 1.0 under.");
        Match stilled = Match.of(
                recorded,
                judging().figures(),
                Tolerances.HOLD,
                Map.of(Aspect.EXPOSURE, new Waiver(Waiver.Cause.BY_EYE, "darker on purpose", "gaffer")));
        assertThat(stilled.holds()).isTrue();
        assertThat(stilled.say()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "RATIO|2.44|2.4 stops",
                "EXPOSURE|0.04|0.0 stops",
                "EXPOSURE|0.25|+0.3 stops",
                "BACKGROUND|-3.46|−3.5 stops",
                "KEY_SIDE|7.2|007°",
                "KEY_SIDE|359.8|000°",
                "WHITE|4.4|+4 mired",
                "WHITE|-4.4|−4 mired",
                "TINT|0.003|+0.0030",
                "SOFTNESS|6.66|6.7°"
            })
    void aFigureIsPrintedWithItsUnit(Aspect aspect, double value, String said) {
        assertThat(aspect.print(value)).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "RATIO|-1.62|−1.6",
                "WHITE|18.2|+18",
                "KEY_SIDE|-26|−26°",
                "TINT|-0.0009|−0.0009",
                "SOFTNESS|1|2.0 times",
                "SOFTNESS|-1|0.5 times",
                "EXPOSURE|0|0.0"
            })
    void aDifferenceIsPrintedWithItsSign(Aspect aspect, double difference, String said) {
        assertThat(aspect.printDifference(difference)).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "RATIO|0.3333333333|±1/3 stop",
                "RATIO|0.5|±0.5 stop",
                "EXPOSURE|1|±1 stop",
                "KEY_SIDE|45|±45°",
                "WHITE|12|±12 mired",
                "TINT|0.003|±0.003",
                "SOFTNESS|0.6|1.5 times"
            })
    void aToleranceIsPrintedAsACrewSaysIt(Aspect aspect, double tolerance, String said) {
        assertThat(aspect.printTolerance(tolerance)).isEqualTo(said);
    }

    private void withSecondMark() {
        stage.put(
                new Placement(
                        "visitor",
                        "Visitor",
                        PlacementKind.MARK,
                        Role.SUBJECT,
                        null,
                        new Piece("Person", null, 0.5, null, null, 0, Mount.FLOOR)),
                1,
                -1,
                1.5,
                AimSetting.along(0, 0));
    }

    private List<String> toRead(Reading... readings) {
        ShotAssessment now = judging(readings);
        return now.toRead(now.heads(Tolerances.HOLD, List.of()));
    }

    private ShotState withReason(String key, Attribute attribute, Reason reason, @Nullable String note) {
        List<Knot> knots = new ArrayList<>();
        for (Placement placement : stage.placements()) {
            stage.state()
                    .knots(placement.key())
                    .forEach(k -> knots.add(
                            k.placement().equals(key) && k.attribute() == attribute
                                    ? new Knot(
                                            new Slate("1A"),
                                            key,
                                            k.value(),
                                            new Attribution(reason, note, "gaffer", Instant.EPOCH, 1))
                                    : k));
        }
        return ShotState.of(new Slate("1A"), knots);
    }

    private ShotAssessment judging(Reading... readings) {
        return new ShotAssessment(
                stage.recording(),
                stage.state(),
                stage.light(),
                List.of(readings),
                RatioConvention.LIT_TO_SHADOW,
                ShippedCurve.NONE);
    }

    private ShotAssessment judging(ShotState state) {
        return new ShotAssessment(
                stage.recording(), state, stage.light(), List.of(), RatioConvention.LIT_TO_SHADOW, ShippedCurve.NONE);
    }

    private static Reading all(double lit, double shadow) {
        return new Reading("mark", null, lit, shadow, null, null, null, Signals.NONE);
    }

    private static Reading alone(String light, double lux) {
        return new Reading("mark", light, lux, null, null, null, null, Signals.NONE);
    }
}
