package org.oblume.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Refusal;

class SubstitutesTest {

    private static final List<StockItem> STOCK =
            List.of(gel("Quarter CTO", 42, 0.3), gel("Half CTO", 81, 0.5), gel("Eighth CTO", 20, 0.15));
    private final Stage stage = Stage.outdoors()
            .head("key", Role.KEY, 0, 3, 1.5, Modifier.of(STOCK.get(1)))
            .tie("key", new Level(40));

    @Test
    void aStrongerUnitWithoutADialReachesTheMarkWithOtherGels() {
        Substitute found = find(Set.of("Half CTO"), unit("Daylight LED spot", 5600, 5600, 40_000))
                .get(0);
        assertThat(found.reaches()).isTrue();
        assertThat(found.stops()).isCloseTo(0, within(0.05));
        assertThat(found.mired()).isCloseTo(3, within(0.1));
        assertThat(stack(found)).doesNotContain("Half CTO").containsExactlyInAnyOrder("Quarter CTO", "Quarter CTO");
    }

    @Test
    void aUnitThatCanBeDialledNeedsNoGel() {
        Substitute found = find(Set.of("Half CTO"), unit("Bicolour LED spot", 2700, 6500, 10_000))
                .get(0);
        assertThat(stack(found)).isEmpty();
        assertThat(found.values())
                .filteredOn(ColourTemperature.class::isInstance)
                .singleElement()
                .satisfies(d -> assertThat(((ColourTemperature) d).kelvin()).isCloseTo(3850, within(15.0)));
        assertThat(found.reaches()).isTrue();
    }

    @Test
    void aWeakUnitSaysByHowMuchItIsShort() {
        Substitute found =
                find(Set.of(), unit("Small LED spot", 2700, 6500, 2_000)).get(0);
        assertThat(found.stops()).isCloseTo(-1, within(0.01));
        assertThat(found.reaches()).isFalse();
        assertThat(found.givenUp()).contains("1.0 stop short");
    }

    @Test
    void theOneThatReachesComesBeforeTheOneThatDoesNot() {
        List<Substitute> found = find(
                Set.of(),
                unit("Weak", 2700, 6500, 1_000),
                unit("Right", 2700, 6500, 12_000),
                unit("Warm only", 3200, 3200, 12_000));
        assertThat(found).first().satisfies(s -> assertThat(s.piece().what()).isEqualTo("Right"));
        assertThat(found).hasSize(3);
    }

    @Test
    void aSmallerEmitterIsToldAsHarder() {
        Piece small = new Piece(
                "Small lens",
                null,
                0.1,
                2700.0,
                6500.0,
                100,
                Mount.STAND,
                null,
                Stage.lamp(LevelCurve.LINEAR),
                null,
                null);
        Substitute found = find(Set.of(), small).get(0);
        assertThat(found.softness()).isCloseTo(-Math.log(3) / Math.log(2), within(0.01));
        assertThat(found.givenUp()).anyMatch(g -> g.startsWith("harder"));
    }

    @Test
    void aMarkIsNoLightAndAHeadThatGivesNothingHasNothingToReach() {
        assertThatThrownBy(() -> Substitutes.of(built(stage), "mark", Calibration.NONE, Set.of(), List.of(), STOCK))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Substitutes.of(
                        built(stage.tie("key", new Level(0))), "key", Calibration.NONE, Set.of(), List.of(), STOCK))
                .hasMessageContaining("nothing");
    }

    /** The meter found a stop less than the figures say: that is the light to reach, not the nominal one. */
    @Test
    void theLightThatWasMeteredIsReachedAndNotTheNominalOne() {
        Piece unit = unit("Bicolour LED spot", 2700, 6500, 10_000);
        double nominal = level(Substitutes.of(built(stage), "key", Calibration.NONE, Set.of(), List.of(unit), STOCK)
                .get(0));
        Substitute found = Substitutes.of(built(stage), "key", new Calibration(0.5), Set.of(), List.of(unit), STOCK)
                .get(0);
        assertThat(level(found)).isCloseTo(nominal / 2, within(0.1));
        assertThat(found.stops()).isCloseTo(0, within(0.02));
    }

    /** It measured 20 mired warmer and a little green: so does what stands in for it, by its own dial. */
    @Test
    void theColourThatWasMeteredIsReachedAndNotTheDialledOne() {
        Piece unit = unit("Bicolour LED spot", 2700, 6500, 10_000);
        Calibration warm = new Calibration(1)
                .withColour(
                        new Calibration.ColourRead(new ColourReading(5000, 0), new ColourReading(1e6 / 220, 0.002)));
        Substitute nominal = Substitutes.of(built(stage), "key", Calibration.NONE, Set.of(), List.of(unit), STOCK)
                .get(0);
        Substitute found = Substitutes.of(built(stage), "key", warm, Set.of(), List.of(unit), STOCK)
                .get(0);
        assertThat(dialledMired(found) - dialledMired(nominal)).isCloseTo(20, within(0.5));
        assertThat(tint(found) - tint(nominal)).isCloseTo(0.002, within(1e-4));
        assertThat(found.mired()).isCloseTo(nominal.mired(), within(0.5));
    }

    /** The unit itself is as far off with another gel as with its own: nothing has to be made up for. */
    @Test
    void whatWasFoundOfAUnitHoldsForItWhenOnlyAGelIsMissing() {
        Piece own = stage.placement("key").piece();
        double level = level(Substitutes.of(built(stage), "key", Calibration.NONE, Set.of(), List.of(own), STOCK)
                .get(0));
        assertThat(level(Substitutes.of(built(stage), "key", new Calibration(0.5), Set.of(), List.of(own), STOCK)
                        .get(0)))
                .isCloseTo(level, within(1e-9));
    }

    private static double dialledMired(Substitute found) {
        return found.values().stream()
                .filter(ColourTemperature.class::isInstance)
                .mapToDouble(v -> 1e6 / ((ColourTemperature) v).kelvin())
                .findFirst()
                .orElseThrow();
    }

    private static double tint(Substitute found) {
        return found.values().stream()
                .filter(Tint.class::isInstance)
                .mapToDouble(v -> ((Tint) v).duv())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatWasFoundOfAUnitSaysNothingOfTheOneThatStandsInForIt() {
        Map<String, Calibration> found = Map.of("key", new Calibration(0.5), "edge", new Calibration(1.2));
        Deviation other = new Deviation("key", unit("Other", 2700, 6500, 10_000), List.of(), "out on hire");
        assertThat(AsBuilt.of(stage.recording(), stage.state(), stage.set(), PlanFit.NONE, List.of(other))
                        .calibrations(found))
                .containsOnlyKeys("edge");
        Deviation dimmed = new Deviation("key", null, List.of(new Level(20)), "too bright");
        assertThat(AsBuilt.of(stage.recording(), stage.state(), stage.set(), PlanFit.NONE, List.of(dimmed))
                        .calibrations(found))
                .containsOnlyKeys("key", "edge");
    }

    private static Piece patched(String modes) {
        Piece plain = unit("Bicolour LED spot", 2700, 6500, 10_000);
        Lamp lamp = plain.lamp();
        Lamp.Upkeep with = new Lamp.Upkeep(10, null, 5, "silent", Lamp.Burn.ANY, 0.5, modes, "", null);
        return new Piece(
                plain.what(),
                null,
                0.3,
                plain.lowestKelvin(),
                plain.highestKelvin(),
                300,
                Mount.STAND,
                null,
                new Lamp(lamp.optics(), true, 0.3, LevelCurve.LINEAR, 1, 0.02, with),
                null,
                null);
    }

    @Test
    void aStandInTakesOverTheAddressInAModeOfItsOwn() {
        stage.tie("key", new Patch(1, 101, 4, "16-bit white"));
        Substitute found = find(Set.of(), patched("8-bit: level, cct, tint; 16-bit: level 16, cct 16, tint 16"))
                .get(0);
        assertThat(found.values()).contains(new Patch(1, 101, 6, "16-bit", null, null));
        assertThat(find(Set.of(), patched("")).get(0).givenUp())
                .anySatisfy(said -> assertThat(said).contains("mind its address"));
    }

    @Test
    void aStandInThatWouldReachIntoTheNextOneSaysSo() {
        stage.tie("key", new Patch(1, 101, 2, "white"))
                .head("edge", Role.EDGE, 1, -2, 1.5)
                .tie("edge", new Patch(1, 104, 2, "white"));
        Substitute found =
                find(Set.of(), patched("16-bit: level 16, cct 16, tint 16")).get(0);
        assertThat(found.values()).noneMatch(Patch.class::isInstance);
        assertThat(found.givenUp())
                .anySatisfy(said -> assertThat(said).contains("takes 6 slots", "into edge", "another address"));
    }

    @Test
    void aHueAndAnEffectThatAStandInHasNotAreSaidAndNotDialled() {
        stage.tie("key", new Colour(120, 80)).tie("key", Effect.parse("flicker 4 Hz"));
        Substitute found = find(Set.of(), patched("8-bit: level, cct, tint")).get(0);
        assertThat(found.values()).contains(Colour.WHITE);
        assertThat(found.givenUp()).anySatisfy(said -> assertThat(said).contains("has no hue"));
    }

    private static double level(Substitute found) {
        return found.values().stream()
                .filter(Level.class::isInstance)
                .map(v -> ((Level) v).percent())
                .findFirst()
                .orElseThrow();
    }

    private List<Substitute> find(Set<String> missing, Piece... units) {
        return Substitutes.of(built(stage), "key", Calibration.NONE, missing, List.of(units), STOCK);
    }

    private static AsBuilt built(Stage stage) {
        return AsBuilt.of(stage.recording(), stage.state(), stage.set(), PlanFit.NONE, List.of());
    }

    private static List<String> stack(Substitute found) {
        return found.values().stream()
                .filter(Modifiers.class::isInstance)
                .flatMap(m -> ((Modifiers) m).items().stream())
                .map(Modifier::name)
                .toList();
    }

    static Piece unit(String what, double lowest, double highest, double candela) {
        Lamp like = Stage.lamp(LevelCurve.LINEAR);
        return new Piece(
                what,
                null,
                0.3,
                lowest,
                highest,
                300,
                Mount.STAND,
                null,
                new Lamp(
                        new Optics(candela, 40, candela, 40, null),
                        true,
                        0.3,
                        LevelCurve.LINEAR,
                        1,
                        0.02,
                        like.upkeep()),
                null,
                null);
    }

    private static StockItem gel(String name, double mired, double stops) {
        return new StockItem(name, StockKind.CORRECTION, FilterEffect.of(mired, stops, 0), 0, null, null, null);
    }
}
