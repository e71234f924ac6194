package org.oblume.core.metering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.carry.Change;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Tint;
import org.oblume.core.plot.White;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/** Story 2: ceiling tubes that stay on, and a panel that is to agree with them. */
class WhiteMatchTest {

    private static final WhitePoint TUBES = white(4150, 0.009);
    private static final List<StockItem> STOCK = List.of(
            tint("Quarter minus green", -0.005),
            tint("Half minus green", -0.010),
            tint("Full minus green", -0.020),
            tint("Half plus green", 0.010));
    private final Stage stage = Stage.outdoors()
            .head("tubes", Role.AMBIENCE, 0, 2, 2.8)
            .head("panel", Role.KEY, 2, 2, 1.8)
            .tie("panel", new ColourTemperature(4150))
            .tie("panel", new Tint(0))
            .camera(0, 5);

    @Test
    void thereAreThreeWaysAndEachIsOnlyChangesToTry() {
        assertThat(ways(TUBES, panel(4150, 3950, 0.002)))
                .extracting(WhiteMatch::way)
                .containsExactly(WhiteMatch.Way.DIAL, WhiteMatch.Way.FILTER, WhiteMatch.Way.CAMERA);
    }

    @Test
    void thePanelIsDialledSoThatItMeasuresAsTheTubesDo() {
        WhiteMatch dial = way(WhiteMatch.Way.DIAL, panel(4150, 3950, 0.002));
        assertThat(value(dial, "panel", ColourTemperature.class).kelvin()).isEqualTo(4371);
        assertThat(value(dial, "panel", Tint.class).duv()).isCloseTo(0.007, within(1e-9));
        assertThat(dial.residualMired()).isZero();
        assertThat(dial.residualDuv()).isCloseTo(0, within(1e-9));
    }

    @Test
    void theFilterIsTheOneThatLeavesTheTubesNearestToWhite() {
        WhiteMatch filter = way(WhiteMatch.Way.FILTER, Map.of());
        assertThat(value(filter, "tubes", Modifiers.class).items())
                .extracting(Modifier::name)
                .containsExactly("Half minus green");
        assertThat(filter.residualDuv()).isCloseTo(-0.001, within(1e-9));
    }

    @Test
    void aFilterThatIsHungGoesBeforeWhatHangsThereAlready() {
        stage.tie("tubes", new Modifiers(List.of(Modifier.of(STOCK.get(3)))));
        assertThat(value(way(WhiteMatch.Way.FILTER, Map.of()), "tubes", Modifiers.class)
                        .items())
                .extracting(Modifier::name)
                .containsExactly("Half minus green", "Half plus green");
    }

    @Test
    void lightThatIsWhiteNeedsNoFilter() {
        assertThat(WhiteMatch.ways(
                        stage.recording(), stage.state(), stage.placement("tubes"), white(4150, 0), Map.of(), STOCK))
                .extracting(WhiteMatch::way)
                .containsExactly(WhiteMatch.Way.CAMERA);
    }

    @Test
    void theCameraTakesTheTubesForWhiteAndSaysHowFarThePanelIsThenOff() {
        WhiteMatch camera = way(WhiteMatch.Way.CAMERA, panel(4150, 3950, 0.002));
        assertThat(value(camera, "camera", White.class)).isEqualTo(new White(4150, 0.009));
        assertThat(camera.residualMired()).isCloseTo(1e6 / 3950 - 1e6 / 4150, within(0.01));
        assertThat(camera.residualDuv()).isCloseTo(-0.007, within(1e-9));
    }

    @Test
    void aTintOutOfReachIsDialledToItsEndAndSaysWhatIsLeft() {
        WhiteMatch dial = WhiteMatch.ways(
                        stage.recording(), stage.state(), null, white(4150, 0.03), panel(4150, 4150, 0), STOCK)
                .get(0);
        assertThat(value(dial, "panel", Tint.class).duv()).isEqualTo(0.02);
        assertThat(dial.residualDuv()).isCloseTo(-0.01, within(1e-9));
    }

    @Test
    void aWhiteThatIsNobodysLeavesOnlyTheDials() {
        assertThat(WhiteMatch.ways(
                        stage.recording(), stage.state(), null, white(3200, 0), panel(4150, 3950, 0.002), STOCK))
                .extracting(WhiteMatch::way)
                .containsExactly(WhiteMatch.Way.DIAL);
    }

    static Stream<Random> seeds() {
        return IntStream.range(0, 40).mapToObj(Random::new);
    }

    /** Whatever the paths are: dialled as it is told, each lamp measures the reference's white when its path is as it was read. */
    @ParameterizedTest
    @MethodSource("seeds")
    void dialledAsToldALampMeasuresTheWhiteThatIsWanted(Random random) {
        double dialled = 3000 + 2500 * random.nextDouble();
        double shift = 60 * random.nextDouble() - 30;
        WhitePoint target = white(3300 + 1800 * random.nextDouble(), 0.004 * random.nextDouble());
        Map<String, DialCurve> panel = panel(dialled, 1e6 / (1e6 / dialled + shift), 0.003);
        WhiteMatch dial = WhiteMatch.ways(stage.recording(), stage.state(), null, target, panel, STOCK)
                .get(0);
        double now = value(dial, "panel", ColourTemperature.class).kelvin();
        assertThat(1e6 / now + shift).isCloseTo(target.kelvin().mired(), within(0.1));
        assertThat(value(dial, "panel", Tint.class).duv() + 0.003)
                .isCloseTo(target.duv().value(), within(0.0001));
    }

    private WhiteMatch way(WhiteMatch.Way way, Map<String, DialCurve> others) {
        return ways(TUBES, others).stream()
                .filter(w -> w.way() == way)
                .findFirst()
                .orElseThrow();
    }

    private List<WhiteMatch> ways(WhitePoint white, Map<String, DialCurve> others) {
        return WhiteMatch.ways(stage.recording(), stage.state(), stage.placement("tubes"), white, others, STOCK);
    }

    private static <V extends AttributeValue> V value(WhiteMatch of, String key, Class<V> type) {
        @Nullable
        AttributeValue found = of.changes().stream()
                .filter(c -> c.placement().equals(key))
                .map(Change::value)
                .filter(type::isInstance)
                .findFirst()
                .orElse(null);
        return type.cast(Objects.requireNonNull(found));
    }

    private static Map<String, DialCurve> panel(double dialled, double measures, double duv) {
        Map<String, DialCurve> all = new LinkedHashMap<>();
        all.put("panel", new DialCurve(List.of(new DialCurve.Point(white(dialled, 0), white(measures, duv)))));
        return all;
    }

    private static StockItem tint(String name, double duv) {
        return new StockItem(name, StockKind.TINT, FilterEffect.of(0, 0.2, duv), 0, null, null, null);
    }

    private static WhitePoint white(double kelvin, double duv) {
        return WhitePoint.of(Kelvin.of(kelvin), Duv.of(duv));
    }
}
