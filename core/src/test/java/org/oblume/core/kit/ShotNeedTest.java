package org.oblume.core.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;

class ShotNeedTest {

    private static final Attribution TIE = new Attribution(null, null, "gaffer", Instant.EPOCH, 1);
    private static final StockItem HALF_CTO =
            new StockItem("Half CTO", StockKind.CORRECTION, FilterEffect.of(81, 0.5, 0), 0, null, null, null);
    private static final StockItem SILK =
            new StockItem("Half silk", StockKind.DIFFUSION, FilterEffect.of(1, 1.2, 0), 0.6, null, null, null);
    private static final StockItem NET =
            new StockItem("Single net", StockKind.NET, FilterEffect.of(0, 0.5, 0), 0, null, null, null);

    private static final SetStatus ON = new SetStatus(SetStatus.State.ON);

    private final List<Placement> placements = new ArrayList<>();
    private final List<Knot> knots = new ArrayList<>();

    private void stands(PlacementKind kind, Piece piece, AttributeValue... values) {
        Placement placed = new Placement("p" + placements.size(), "Thing", kind, Role.KEY, null, piece);
        placements.add(placed);
        for (AttributeValue value : values) {
            knots.add(new Knot(new Slate("4A"), placed.key(), value, TIE));
        }
    }

    private static Piece spot(String unit) {
        return new Piece(
                "Spot 300 W",
                unit,
                0.3,
                2700.0,
                6500.0,
                320,
                Mount.STAND,
                null,
                new Lamp(
                        new Optics(110_000, 15, 15_000, 50, null),
                        true,
                        0.3,
                        LevelCurve.LINEAR,
                        1,
                        0.02,
                        new Lamp.Upkeep(12, null, 6.5, "fan", Lamp.Burn.ANY, 0.3, "", "", null)),
                null,
                null);
    }

    private List<String> need() {
        return ShotNeed.of(placements, ShotState.of(new Slate("4A"), knots), List.of(HALF_CTO, SILK, NET)).stream()
                .map(n -> n.item().phrase().metric())
                .toList();
    }

    @Test
    void aHeadNeedsItselfItsStandItsBagItsCableAndWhatHangsBeforeIt() {
        stands(
                PlacementKind.HEAD,
                spot("Heron 2"),
                ON,
                new Height(2.1),
                new Feed(Feed.From.CIRCUIT, "B1", null, 10.0, 2.5),
                new Modifiers(List.of(
                        Modifier.of(HALF_CTO),
                        Modifier.of(HALF_CTO).covering(Modifier.Cover.LOWER, null),
                        Modifier.of(SILK).framed(1.2, 0.8),
                        Modifier.of(NET))));
        assertThat(need())
                .containsExactly(
                        "Spot 300 W",
                        "Stand",
                        "Sandbag",
                        "Cable 10 m of 2.5 mm²",
                        "Half CTO 0.3 × 0.3 m",
                        "Half CTO 0.3 × 0.15 m",
                        "Half silk 1.2 × 1.2 m",
                        "Single net");
    }

    @Test
    void anOverheadClothNeedsItsFrameItsClothAndABond() {
        stands(
                PlacementKind.FRAME,
                new Piece("Overhead cloth 3.6 m", null, 3.6, null, null, 0, Mount.OVERHEAD),
                ON,
                new Modifiers(List.of(Modifier.of(SILK))));
        assertThat(need()).containsExactly("Overhead cloth 3.6 m", "Safety bond", "Half silk 3.6 × 3.6 m");
    }

    @Test
    void whatIsStruckOrBelongsToThePlaceIsNotAskedOf() {
        stands(PlacementKind.HEAD, spot("Heron 1"), new SetStatus(SetStatus.State.STRUCK));
        stands(PlacementKind.MARK, new Piece("Person", null, 0.5, null, null, 0, Mount.FLOOR), ON);
        stands(PlacementKind.CURTAIN, new Piece("Curtain", null, 1.4, null, null, 0, Mount.IN_PLACE), ON);
        assertThat(need()).isEmpty();
    }
}
