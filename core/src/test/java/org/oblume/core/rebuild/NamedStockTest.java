package org.oblume.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.kit.KitSize;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.rebuild.NamedStock.Named;

class NamedStockTest {

    private static final StockItem BLEACHED = cloth("Muslin, bleached", 6, 2.3333, 0, 0.9);
    private static final StockItem UNBLEACHED = cloth("Muslin, unbleached", 12, 2.3333, 0.001, 0.9);
    private static final StockItem HALF_SILK = cloth("Half silk", 1, 1.2, 0, 0.6);
    private static final StockItem FULL_SILK = cloth("Full silk", 2, 1.6667, 0, 0.75);
    private static final List<StockItem> STOCK = List.of(BLEACHED, UNBLEACHED, HALF_SILK, FULL_SILK);
    private static final Modifiers RECORDED = new Modifiers(List.of(Modifier.of(UNBLEACHED)));

    private static StockItem cloth(String name, double mired, double stops, double duv, double softness) {
        return new StockItem(name, StockKind.DIFFUSION, FilterEffect.of(mired, stops, duv), softness, null, null, null);
    }

    private static Placement frame(String what, double sideM) {
        return new Placement(
                "overhead",
                "Overhead",
                PlacementKind.FRAME,
                Role.KEY,
                null,
                new Piece(what, null, sideM, null, null, 0, Mount.OVERHEAD));
    }

    private static NamedStock named(String what, @Nullable String unit, KitSize size) {
        return NamedStock.of(new Named(what, unit, size), frame("Frame 2.4 m", 2.4), RECORDED, STOCK);
    }

    @Test
    void theWrongMuslinIsSaidBeforeItIsUp() {
        NamedStock wrong = named("Muslin, bleached", "Muslin 3", KitSize.flat(2.4, 2.4));
        assertThat(wrong.right()).isFalse();
        assertThat(wrong.sentence().metric())
                .isEqualTo(
                        "That is Muslin 3 (Muslin, bleached); Muslin, unbleached is recorded. With it: 6 mired cooler, Duv 0.001 more magenta.");
        assertThat(wrong.instead()).containsExactly(new Modifiers(List.of(Modifier.of(BLEACHED))));
    }

    @Test
    void theRightOneIsRightInItsOwnSizeOnly() {
        assertThat(named("muslin, unbleached", null, KitSize.NONE).right()).isTrue();
        assertThat(named("Muslin, unbleached", "Muslin 1", KitSize.flat(2.42, 2.38))
                        .right())
                .isTrue();
        NamedStock small = named("Muslin, unbleached", "Muslin 2", KitSize.flat(1.2, 1.2));
        assertThat(small.right()).isFalse();
        assertThat(small.sentence().metric())
                .isEqualTo(
                        "Muslin 2 (Muslin, unbleached) is the right cloth, but 1.2 × 1.2 m, and 2.4 × 2.4 m is wanted.");
    }

    @Test
    void whatHasNoPlaceThereIsSaidToHaveNone() {
        assertThat(named("Ladder", null, KitSize.NONE).sentence().metric())
                .isEqualTo("Ladder is no part of Overhead as it is recorded.");
        assertThat(named("Frame 2.4 m", null, KitSize.NONE).right()).isTrue();
    }

    @Test
    void theNearestClothStandsInFirst() {
        List<Substitute> found = GripSubstitutes.of(
                frame("Overhead cloth 3.6 m", 3.6),
                new Modifiers(List.of(Modifier.of(FULL_SILK))),
                Set.of("Full silk"),
                List.of(frame("Overhead cloth 3.6 m", 3.6).piece()),
                STOCK);
        assertThat(found.get(0).values()).containsExactly(new Modifiers(List.of(Modifier.of(HALF_SILK))));
        assertThat(found.get(0).givenUp()).containsExactly("1 mired cooler", "0.5 stop brighter", "harder");
        assertThat(found).hasSize(3);
    }

    /** 0.6 m by 0.45 m for 1.2 m by 0.9 m: a quarter. */
    @Test
    void aSmallerFlagSaysHowMuchSmaller() {
        Placement flag = new Placement(
                "flag",
                "Flag",
                PlacementKind.FLAG,
                Role.NEGATIVE_FILL,
                null,
                new Piece("Flag 1.2 m", null, 1.2, null, null, 0, Mount.STAND, 0.9, null, null, null));
        Piece small = new Piece("Flag 0.6 m", null, 0.6, null, null, 0, Mount.STAND, 0.45, null, null, null);
        assertThat(GripSubstitutes.of(flag, Modifiers.NONE, Set.of(), List.of(small), STOCK))
                .singleElement()
                .satisfies(s -> assertThat(s.givenUp()).containsExactly("0.3 times the area"));
    }
}
