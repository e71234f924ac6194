package org.oblume.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Change;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Tint;
import org.oblume.core.proof.Diagnosis.Finding;
import org.oblume.core.proof.ProofReading.Wanted;

/** What is wrong with a rebuild of room 1, by exact readings, or by those of a meter and stands that spread. */
class InferenceTest {

    private static final Spread.Figures NONE = new Spread.Figures(0, 0, 0);
    private static final Spread STRAYS = Spread.USUAL.ofKnownLights();
    private static final Spread EXACT = new Spread(NONE, NONE, 0, NONE);

    private static Stage room;
    private static Suspects suspects;
    private static Inference inference;

    @BeforeAll
    static void workOutWhatCouldBeWrong() {
        room = ProofRooms.room(1);
        suspects = Suspects.of(ProofRooms.recorded(1));
        inference = new Inference(suspects, STRAYS);
    }

    private static List<ProofReading> places(SimulatedRebuild rebuilt) {
        List<ProofReading> read = new ArrayList<>();
        for (Probe.Way way : List.of(
                Probe.Way.LEFT, Probe.Way.RIGHT, Probe.Way.BACKGROUND, Probe.Way.BACK_LEFT, Probe.Way.BACK_RIGHT)) {
            read.add(rebuilt.read(new Probe("mark", way), null));
        }
        return read;
    }

    private static Wanted alone(String light) {
        return new Wanted(new Probe("mark", Probe.Way.TO_LIGHT), light);
    }

    private static ProofReading read(SimulatedRebuild rebuilt, Wanted wanted) {
        return rebuilt.read(wanted.probe(), wanted.alone());
    }

    private static SimulatedRebuild exactly(Change... wrong) {
        return new SimulatedRebuild(suspects.shot(), EXACT, new Random(1), List.of(wrong), null);
    }

    /** After the places and each light alone. */
    private static Finding first(SimulatedRebuild rebuilt) {
        List<ProofReading> read = places(rebuilt);
        suspects.shot().lights().forEach(l -> read.add(read(rebuilt, alone(l.key()))));
        Diagnosis found = inference.diagnose(read, List.of());
        assertThat(found.asRecorded()).isFalse();
        return found.findings().get(0);
    }

    @Test
    void whatReadsAsRecordedNeedsNoExplanation() {
        Diagnosis found = inference.diagnose(places(exactly()), List.of());
        assertThat(found.asRecorded()).isTrue();
        assertThat(found.byChance()).isCloseTo(1, within(0.01));
    }

    @Test
    void whatANextReadingWouldBeIsWhatARebuildWithThatFaultReads() {
        Fault fault = suspects.faults().stream()
                .filter(f -> f.kind() == Fault.Kind.LEVEL && f.thing().equals("key"))
                .findFirst()
                .orElseThrow();
        ProofReading would = suspects.wouldRead(List.of(fault), alone("key"));
        ProofReading recorded = suspects.wouldRead(List.of(), alone("key"));
        assertThat(recorded.lux()).isCloseTo(read(exactly(), alone("key")).lux(), within(1e-6));
        assertThat(would.lux()).isNotCloseTo(recorded.lux(), within(0.1 * recorded.lux()));
        assertThat(would.kelvin()).isCloseTo(recorded.kelvin(), within(0.5));
    }

    /** A quarter of a stop at a light is a fault where it was metered alone, and no more than the model's own error where it never was. */
    @Test
    void aLightThatWasNeverMeteredIsNotCalledOffByWhatTheModelMayErr() {
        double off = 0.27;
        List<ProofReading> read = new ArrayList<>();
        for (ProofReading one : places(exactly())) {
            read.add(new ProofReading(one.probe(), null, one.lux() * Math.pow(2, off), one.kelvin(), one.duv()));
        }
        assertThat(inference.diagnose(read, List.of()).byChance()).isLessThan(0.1);
        assertThat(new Inference(suspects, Spread.USUAL)
                        .diagnose(read, List.of())
                        .byChance())
                .isGreaterThan(0.7);
    }

    @Test
    void nothingReadSaysNothing() {
        assertThat(inference.diagnose(List.of(), List.of()).asRecorded()).isTrue();
    }

    @Test
    void aGelOfTheStockInThePlaceOfAnotherIsNamed() {
        Finding found = first(exactly(new Change("wall", new Modifiers(List.of(ProofRooms.hung("Full CTO"))))));
        assertThat(found.isLikely()).isTrue();
        assertThat(found.faults())
                .extracting(Fault::words)
                .containsExactly("Full CTO hangs in place of Half CTO at wall");
    }

    @Test
    void aTintThatIsDialledWrongIsFound() {
        Finding found = first(exactly(new Change("fill", new Tint(0.008))));
        assertThat(found.faults()).extracting(Fault::kind).containsExactly(Fault.Kind.TINT);
        assertThat(found.things()).containsExactly("fill");
    }

    @Test
    void theWrongClothOverTheSetIsFoundThoughEveryLightBurnsAsRecorded() {
        Finding found =
                first(exactly(new Change("overhead", new Modifiers(List.of(ProofRooms.hung("Muslin, unbleached"))))));
        assertThat(found.faults())
                .extracting(Fault::words)
                .containsExactly("Muslin, unbleached hangs in overhead in place of Half grid cloth");
    }

    @Test
    void twoFaultsAtTwoLightsAreBothNamed() {
        Finding found = first(exactly(
                new Change("edge", new Modifiers(List.of())),
                new Change("kicker", new SetStatus(SetStatus.State.OFF))));
        assertThat(found.things()).containsExactly("edge", "kicker");
        assertThat(found.faults())
                .extracting(Fault::kind)
                .containsExactlyInAnyOrder(Fault.Kind.FILTER_MISSING, Fault.Kind.OFF);
    }

    @Test
    void aWrongFilterBehindAWrongDistanceIsNamed() {
        Finding found = first(exactly(
                new Change("kicker", new Modifiers(List.of(ProofRooms.hung("Full CTB")))),
                new Change("kicker", new Place(2.4 * 1.25, -1.6 * 1.25, true))));
        assertThat(found.faults())
                .extracting(Fault::words)
                .contains("Full CTB hangs in place of Quarter CTB at kicker", "kicker stands about 25 % farther");
    }

    @Test
    void lightThatNobodyRecordedIsOnEveryReading() {
        double[] white = ConeLight.white(1e6 / 4000, 0);
        SimulatedRebuild rebuilt = new SimulatedRebuild(
                suspects.shot(), EXACT, new Random(1), List.of(), ConeLight.times(white, new double[] {60, 60, 60}));
        assertThat(first(rebuilt).faults()).extracting(Fault::kind).containsExactly(Fault.Kind.NOT_RECORDED);
    }

    /** The places show that something is a stop under; only a light alone tells which of those that reach there it is. */
    @Test
    void theNextReadingIsOneThatTells() {
        SimulatedRebuild rebuilt = exactly(new Change("edge", new Level(22.5)));
        List<ProofReading> read = List.of(rebuilt.read(new Probe("mark", Probe.Way.BACK_LEFT), null));
        List<Wanted> wanted =
                suspects.shot().lights().stream().map(l -> alone(l.key())).toList();
        Diagnosis found = inference.diagnose(read, wanted);
        assertThat(found.next()).isIn(alone("edge"), alone("fill"), alone("top"), alone("wall"));
        List<ProofReading> more = new ArrayList<>(read);
        for (int asked = 0; asked < 4 && found.next() != null; asked++) {
            more.add(read(rebuilt, found.next()));
            found = inference.diagnose(more, wanted);
        }
        assertThat(found.findings().get(0).things()).containsExactly("edge");
    }

    @Test
    void whatWasReadOnceIsNotAskedAgain() {
        SimulatedRebuild rebuilt = exactly(new Change("edge", new Level(22.5)));
        List<ProofReading> read = new ArrayList<>(places(rebuilt));
        Wanted edge = alone("edge");
        read.add(read(rebuilt, edge));
        assertThat(inference.diagnose(read, List.of(edge)).next()).isNull();
    }

    /** The spread that readings are judged by, beside that of rebuilds which were drawn one by one. */
    @Test
    void readingsSpreadAsTheyAreSaidTo() {
        Random random = new Random(4);
        List<ProofReading> recorded = places(exactly());
        int runs = 80;
        double[][] off = new double[runs][];
        for (int i = 0; i < runs; i++) {
            SimulatedRebuild rebuilt = new SimulatedRebuild(suspects.shot(), STRAYS, random, List.of(), null);
            off[i] = new Evidence(suspects, STRAYS, places(rebuilt))
                    .residual(Evidence.Otherwise.AS_RECORDED, Evidence.Otherwise.AS_RECORDED);
        }
        double[][] said = new Evidence(suspects, STRAYS, recorded)
                .covariance(Evidence.Otherwise.AS_RECORDED, Evidence.Otherwise.AS_RECORDED);
        for (int f = 0; f < said.length; f++) {
            double squares = 0;
            for (double[] run : off) {
                squares += run[f] * run[f];
            }
            // of 80 draws a variance is known within 16 %
            assertThat(squares / runs / said[f][f]).as("figure " + f).isBetween(0.5, 1.7);
        }
    }

    /** Of 25 all read through, one at most: 1.5 % are wanted. */
    @Test
    void aHealthyRebuildIsHardlyEverCalledOff() {
        Random random = new Random(9);
        int off = 0;
        for (int i = 0; i < 25; i++) {
            SimulatedRebuild rebuilt = new SimulatedRebuild(suspects.shot(), STRAYS, random, List.of(), null);
            List<ProofReading> read = places(rebuilt);
            suspects.shot().lights().forEach(l -> read.add(read(rebuilt, alone(l.key()))));
            off += inference.diagnose(read, List.of()).asRecorded() ? 0 : 1;
        }
        assertThat(off).isLessThanOrEqualTo(1);
    }
}
