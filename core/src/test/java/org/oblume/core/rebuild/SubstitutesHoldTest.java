package org.oblume.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SourceColour;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;

/** What is promised of a substitute is what the light does once it stands there. */
class SubstitutesHoldTest {

    private static final LevelCurve[] CURVES = {LevelCurve.LINEAR, LevelCurve.SQUARE, LevelCurve.S_CURVE};
    private static final List<StockItem> STOCK = List.of(
            gel("Eighth CTO", 20, 0.15),
            gel("Quarter CTO", 42, 0.3),
            gel("Half CTO", 81, 0.5),
            gel("Full CTO", 167, 0.85),
            gel("Quarter CTB", -35, 0.53),
            gel("Half CTB", -68, 0.9));

    static Stream<Random> seeds() {
        return IntStream.range(0, 60).mapToObj(Random::new);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void stopsAndMiredsAreThoseThatAreThenThere(Random random) {
        Stage stage = Stage.blackRoom()
                .head(
                        "key",
                        Role.KEY,
                        1 + random.nextDouble(),
                        2 + random.nextDouble(),
                        2,
                        Modifier.of(STOCK.get(random.nextInt(4))))
                .tie("key", new Level(20 + 60 * random.nextDouble()))
                .head("fill", Role.FILL, -2, 2, 1.6);
        AsBuilt recorded = AsBuilt.of(stage.recording(), stage.state(), stage.set(), PlanFit.NONE, List.of());
        List<Piece> kit = IntStream.range(0, 8).mapToObj(i -> unit(random, i)).toList();
        Set<String> gone = random.nextBoolean()
                ? Set.of()
                : Set.of(stage.state()
                        .value("key", Modifiers.class)
                        .orElseThrow()
                        .items()
                        .get(0)
                        .name());
        List<Substitute> found = Substitutes.of(recorded, "key", Calibration.NONE, gone, kit, STOCK);
        assertThat(found).isNotEmpty();
        for (Substitute one : found) {
            AsBuilt built = AsBuilt.of(
                    stage.recording(),
                    stage.state(),
                    stage.set(),
                    PlanFit.NONE,
                    List.of(new Deviation("key", one.piece(), one.values(), "gone")));
            assertThat(Math.log(lux(built) / lux(recorded)) / Math.log(2))
                    .as("stops of %s", one.piece().what())
                    .isCloseTo(one.stops(), within(0.02));
            assertThat(mired(built) - mired(recorded))
                    .as("mireds of %s", one.piece().what())
                    .isCloseTo(one.mired(), within(0.6));
            assertThat(one.values()).noneSatisfy(v -> assertThat(v.say())
                    .contains(gone.isEmpty() ? "no such gel" : gone.iterator().next()));
            built.scene().placement("key").check(one.values().get(0));
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void theFirstIsNeverFartherFromTheLightThanTheLast(Random random) {
        Stage stage = Stage.outdoors()
                .head("key", Role.KEY, 0, 3, 1.8, Modifier.of(STOCK.get(1)))
                .tie("key", new Level(50));
        List<Piece> kit = IntStream.range(0, 12).mapToObj(i -> unit(random, i)).toList();
        List<Substitute> found = Substitutes.of(
                AsBuilt.of(stage.recording(), stage.state(), stage.set(), PlanFit.NONE, List.of()),
                "key",
                Calibration.NONE,
                Set.of(),
                kit,
                STOCK);
        assertThat(found)
                .hasSizeLessThanOrEqualTo(5)
                .extracting(Substitute::cost)
                .isSorted();
        assertThat(found.stream().map(s -> s.piece().what())).doesNotHaveDuplicates();
    }

    private static Piece unit(Random random, int i) {
        double candela = 1000 + 60_000 * random.nextDouble();
        double lowest = random.nextBoolean() ? 2700 : 5600;
        Lamp like = Stage.lamp(CURVES[random.nextInt(CURVES.length)]);
        return new Piece(
                "Unit " + i,
                null,
                0.1 + 0.5 * random.nextDouble(),
                lowest,
                lowest == 2700 ? 6500 : lowest,
                300,
                Mount.STAND,
                null,
                new Lamp(new Optics(candela, 40, candela, 40, null), true, 0.3, like.curve(), 0.1, 0.02, like.upkeep()),
                null,
                null);
    }

    private static double lux(AsBuilt built) {
        Set<String> others = built.scene().placements().stream()
                .map(Placement::key)
                .filter(k -> !k.equals("key"))
                .collect(Collectors.toSet());
        return ShotLighting.of(built.scene().set(), built.scene().placements(), built.state(), others, Map.of())
                .facingLux("key", "mark");
    }

    private static double mired(AsBuilt built) {
        return 1e6
                / SourceColour.leaving(built.scene().placement("key"), built.state())
                        .orElseThrow()
                        .reading()
                        .kelvin();
    }

    private static StockItem gel(String name, double mired, double stops) {
        return new StockItem(name, StockKind.CORRECTION, FilterEffect.of(mired, stops, 0), 0, null, null, null);
    }
}
