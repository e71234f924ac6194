package org.oblume.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.colour.GelColour;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.MiredShift;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;

/** Which prescription wins, what it says of itself, and what a stock item may be. */
class PrescriptionTest {

    private static final WhitePoint WHITE = WhitePoint.of(Kelvin.of(5600), Duv.NEUTRAL);

    @Test
    void ofEqualPrescriptionsTheNamesDecideInOrder() {
        List<Prescription> best =
                correction(2).prescribe(List.of(net("B net", 1), net("A net", 1), net("C net", 1)), 1);
        assertThat(names(best)).containsExactly(List.of("A net"), List.of("B net"), List.of("C net"), List.of());
    }

    @Test
    void ofEqualPrescriptionsTheOneWithFewerFiltersWins() {
        // 0.25 a filter: one filter that is off by 0.05 stop (0.25) ties with two that are right
        Sheets one = new Sheets("z one", FilterEffect.of(0, 2.05, 0), 1);
        Sheets half = new Sheets("a half", FilterEffect.of(0, 1, 0), 2);
        List<Prescription> best = correction(4).prescribe(List.of(half, one), 2);
        assertThat(best.get(0).cost()).isCloseTo(best.get(1).cost(), within(1e-9));
        assertThat(names(best).subList(0, 2)).containsExactly(List.of("z one"), List.of("a half", "a half"));
    }

    @Test
    void namesAreOrderedByCodePointNotByTheLettersOfOneLanguage() {
        String beyond = new String(Character.toChars(0x1F526)); // sorts after U+FF5E by code point, before it by char
        List<Prescription> best =
                correction(2).prescribe(List.of(net(beyond, 1), net("\uFF5E", 1), net("a", 1), net("Z", 1)), 1);
        assertThat(names(best).subList(0, 4))
                .containsExactly(List.of("Z"), List.of("a"), List.of("\uFF5E"), List.of(beyond));
    }

    private static final Sheets HALF_CTO = new Sheets("Half CTO", FilterEffect.of(81, 0, 0), 1);
    private static final Sheets HALF_CTB = new Sheets("Half CTB", FilterEffect.of(-68, 0, 0), 1);

    private static Correction warmer(double mired) {
        return new Correction(
                WHITE,
                TStop.of(4),
                WhitePoint.of(Kelvin.of(1e6 / (Kelvin.of(5600).mired() + mired)), Duv.NEUTRAL),
                TStop.of(4),
                Correction.Dimming.NONE);
    }

    @Test
    void noWarmingFilterHangsAgainstACoolingOneWhenOneSheetReaches() {
        Sheets eighth = new Sheets("Eighth CTO", FilterEffect.of(17, 0, 0), 1);
        List<Sheets> stock = List.of(HALF_CTO, HALF_CTB, eighth);
        assertThat(names(warmer(13).prescribe(stock, 2)))
                .as("by cost alone the two against each other are offered")
                .contains(List.of("Half CTB", "Half CTO"));
        assertThat(names(warmer(13).prescribeSensibly(stock, 2)))
                .startsWith(List.of("Eighth CTO"))
                .doesNotContain(List.of("Half CTB", "Half CTO"));
        Sheets green = new Sheets("Plus green", FilterEffect.of(0, 0, 0.01), 1);
        Sheets magenta = new Sheets("Minus green", FilterEffect.of(0, 0, -0.01), 1);
        assertThat(names(warmer(0).prescribeSensibly(List.of(green, magenta), 2)))
                .doesNotContain(List.of("Minus green", "Plus green"));
    }

    @Test
    void twoAgainstEachOtherAreOfferedWhenNothingElseReaches() {
        List<Prescription> best = warmer(13).prescribeSensibly(List.of(HALF_CTO, HALF_CTB), 2);
        assertThat(names(best).get(0)).containsExactly("Half CTB", "Half CTO");
    }

    @Test
    void withinASixthOfAStopFewerSheetsWin() {
        List<Sheets> stock = List.of(net("Single", 2), new Sheets("Near", FilterEffect.of(0, 1.85, 0), 1));
        Correction twoStops = new Correction(WHITE, TStop.of(8), WHITE, TStop.of(4), Correction.Dimming.NONE);
        assertThat(names(twoStops.prescribe(stock, 2)).get(0)).hasSize(2);
        assertThat(names(twoStops.prescribeSensibly(stock, 2)).get(0)).containsExactly("Near");
        List<Sheets> farther = List.of(net("Single", 2), new Sheets("Far", FilterEffect.of(0, 1.8, 0), 1));
        assertThat(names(twoStops.prescribeSensibly(farther, 2)).get(0)).hasSize(2);
    }

    @Test
    void noMoreSheetsAreUsedThanThereAre() {
        List<Prescription> best = correction(16).prescribe(List.of(net("Double net", 2), net("Last net", 0)), 5);
        assertThat(best).allSatisfy(p -> assertThat(p.filters().size()).isLessThanOrEqualTo(2));
        assertThat(names(best)).doesNotContain(List.of("Last net")).hasSize(3);
    }

    @Test
    void aDimmableLightIsTurnedDownOnlyAsFarAsItGoes() {
        Prescription bare = new Correction(WHITE, TStop.of(8), WHITE, TStop.of(2), new Correction.Dimming(0.25))
                .prescribe(List.of(), 3)
                .get(0);
        assertThat(bare.output()).isEqualTo(0.25);
        assertThat(bare.deltaStops().value()).isCloseTo(2, within(1e-12));
        assertThat(bare.tStop().number()).isCloseTo(4, within(1e-12));
        assertThat(bare.reason())
                .isEqualTo("2.0 stop too bright, colour and tint right; no filter, dimmed by 2.0 stops");
        Prescription dark = new Correction(WHITE, TStop.of(2), WHITE, TStop.of(8), new Correction.Dimming(0.25))
                .prescribe(List.of(), 3)
                .get(0);
        assertThat(dark.output()).isEqualTo(1);
        assertThat(dark.deltaStops().value()).isCloseTo(-4, within(1e-12));
    }

    @Test
    void aStackThatLeavesTheColourScaleIsNotOffered() {
        List<Prescription> best = new Correction(
                        WhitePoint.of(Kelvin.of(1100), Duv.NEUTRAL),
                        TStop.of(4),
                        WHITE,
                        TStop.of(4),
                        Correction.Dimming.NONE)
                .prescribe(
                        List.of(
                                new Sheets("warm", FilterEffect.of(200, 0, 0), 1),
                                new Sheets("cool", FilterEffect.of(-200, 0, 0), 1)),
                        2);
        assertThat(names(best))
                .doesNotContain(List.of("warm"))
                .contains(List.of(), List.of("cool"), List.of("cool", "warm"));
    }

    @Test
    void aStackSoDenseThatNothingComesThroughIsNotOffered() {
        assertThat(names(correction(2).prescribe(List.of(new Sheets("wall", FilterEffect.of(0, 1e6, 0), 1)), 1)))
                .containsExactly(List.of());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 | 0 | 0 | stop and colour and tint right; 1 filter",
                "0.31 | 0 | 0 | 0.3 stop too bright, colour and tint right; 1 filter",
                "-0.1 | 0.5 | 0 | 0.1 stop too dark, 1 mired too warm, tint right; 1 filter",
                "0.09 | -12 | 0.0004 | 12 mired too cool, stop and tint right; 1 filter",
                "2 | 3 | 0.0026 | 2.0 stop too bright, 3 mired too warm, Duv 0.0026 too green; 1 filter",
                "0 | 0 | -0.001 | Duv 0.001 too magenta, stop and colour right; 1 filter"
            })
    void aPrescriptionTellsWhatIsOffAndWhatIsRight(double stops, double mired, double duv, String reason) {
        assertThat(new Prescription(
                                List.of("net"), 5600, 0, TStop.of(4), 1, MiredShift.of(mired), duv, Stops.of(stops), 1)
                        .reason())
                .isEqualTo(reason);
    }

    @Test
    void aQuestionThatCannotBeGoneThroughIsRefusedRatherThanAnsweredLate() {
        List<Sheets> stock = Stream.iterate(0, i -> i + 1)
                .limit(100)
                .map(i -> new Sheets("f" + i, FilterEffect.of(i % 7 * 0.1, 1 + i % 11 * 0.01, 0), 3))
                .toList();
        assertThatThrownBy(() -> correction(64).prescribe(stock, 9, 10_000))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("maxFilters"))
                .hasMessageContaining("ask for fewer filters");
        assertThatThrownBy(() -> correction(2).prescribe(List.of(), -1)).hasMessageContaining("0 or more");
    }

    @Test
    void aStockItemIsGoneThroughOrThrowsBackButNotBoth() {
        FilterEffect none = FilterEffect.NONE;
        GelColour kelp = new GelColour(0.2, 0.6, 0.3);
        assertThat(new StockItem("Net", StockKind.NET, none, 0, null, null, null).isFilter())
                .isTrue();
        assertThat(new StockItem("Board", StockKind.BOUNCE, none, 1, 0.8, null, null).isFilter())
                .isFalse();
        assertThatThrownBy(() -> new StockItem("Board", StockKind.BLACK, none, 1, null, null, null))
                .hasMessageContaining("needs a reflectance");
        assertThatThrownBy(() -> new StockItem("Net", StockKind.NET, none, 0, 0.5, null, null))
                .hasMessageContaining("leave its reflectance empty");
        assertThatThrownBy(() -> new StockItem("Kelp", StockKind.COLOUR, none, 0, null, null, null))
                .hasMessageContaining("red, green and blue");
        assertThatThrownBy(() -> new StockItem("Net", StockKind.NET, none, 0, null, null, kelp))
                .hasMessageContaining("is no colour");
        assertThatThrownBy(() -> new StockItem("Frost", StockKind.DIFFUSION, none, 1.1, null, null, null))
                .hasMessageContaining("softness of Frost");
        assertThatThrownBy(() -> new Sheets("Net", none, -1)).hasMessageContaining("0 or more");
    }

    /** As white as it is wanted, and too bright by so much: T reading over 1 wanted, as a light ratio. */
    private static Correction correction(double ratio) {
        return new Correction(WHITE, TStop.of(Math.sqrt(ratio)), WHITE, TStop.of(1), Correction.Dimming.NONE);
    }

    private static Sheets net(String name, int sheets) {
        return new Sheets(name, FilterEffect.of(0, 1, 0), sheets);
    }

    private static List<List<String>> names(List<Prescription> prescriptions) {
        return prescriptions.stream().map(Prescription::filters).toList();
    }
}
