package org.oblume.core.kit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.filter.StockItem;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.rigging.StandBags;

/**
 * What a shot needs of the kit: what stands in it, what hangs before its heads, what they stand on and are fed by. Model: a stand for each
 * thing on one, the sandbags that {@link StandBags} tells, a bond for each thing overhead, one cable for each that was measured; clamps,
 * arms and connectors are not told.
 */
public final class ShotNeed {

    private static final double HALF = 0.5;
    private final Map<String, StockItem> stock = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
    private final RecordedState state;
    private final List<Needed> all = new ArrayList<>();

    private ShotNeed(RecordedState state, Collection<StockItem> stock) {
        this.state = state;
        stock.forEach(item -> this.stock.put(item.name(), item));
    }

    /**
     * @param placements of its scene, with what was exchanged
     * @param stock what filters and cloths there are
     * @return in the order of the placements; batteries are told by a day, not by a shot
     */
    public static List<Needed> of(Collection<Placement> placements, RecordedState state, Collection<StockItem> stock) {
        ShotNeed need = new ShotNeed(state, stock);
        placements.stream().filter(p -> state.isOnSet(p.key())).forEach(need::add);
        return List.copyOf(need.all);
    }

    private void add(Placement placement) {
        switch (placement.kind()) {
            case HEAD, PRACTICAL, FLAG, NET, PATTERN, BOUNCE, MIRROR -> {
                thing(placement);
                front(placement);
            }
            case FRAME -> {
                thing(placement);
                cloths(placement);
            }
            case DAYLIGHT -> cloths(placement);
            case CURTAIN, CAMERA, MARK, CONDITION, CUE -> {}
        }
    }

    private void thing(Placement placement) {
        Piece piece = placement.piece();
        boolean ofThePlace = placement.kind() == PlacementKind.PRACTICAL && piece.unit() == null;
        add(placement, KitItem.thing(piece.what()), piece.unit(), ofThePlace, false);
        if (piece.mount() == Mount.STAND) {
            add(placement, new KitItem(KitItem.Sort.STAND, "Stand", KitSize.NONE), null, false, false);
            OptionalInt bags = StandBags.of(placement, state);
            for (int i = 0; i < bags.orElse(0); i++) {
                add(placement, new KitItem(KitItem.Sort.SANDBAG, "Sandbag", KitSize.NONE), null, false, false);
            }
        }
        if (piece.mount() == Mount.OVERHEAD && !ofThePlace) {
            add(placement, new KitItem(KitItem.Sort.BOND, "Safety bond", KitSize.NONE), null, false, false);
        }
        cable(placement)
                .ifPresent(size -> add(placement, new KitItem(KitItem.Sort.CABLE, "Cable", size), null, false, false));
    }

    private Optional<KitSize> cable(Placement placement) {
        return state.value(placement.key(), Feed.class)
                .filter(f -> f.cableM() != null && f.areaMm2() != null)
                .map(f -> new KitSize(null, f.cableM(), f.areaMm2(), null));
    }

    /** What hangs before a head: on a frame of its own, or cut for its front. */
    private void front(Placement placement) {
        Piece piece = placement.piece();
        Lamp lamp = piece.lamp();
        if (lamp == null || !placement.kind().isLight()) {
            return;
        }
        double wide = lamp.frontWidthM() == null ? piece.widthM() : lamp.frontWidthM();
        double high = lamp.round() || lamp.frontWidthM() != null ? wide : lamp.emitterHeightM();
        boolean hot = isHot(lamp);
        for (Modifier item : hung(placement)) {
            Double frame = item.frameWidthM();
            if (frame != null) {
                add(placement, KitItem.flat(item.name(), frame, frame), null, false, false);
            } else if (isCut(item)) {
                double part = item.share() == null ? HALF : item.share();
                boolean upright = item.covers() == Modifier.Cover.LEFT || item.covers() == Modifier.Cover.RIGHT;
                double w = item.covers() != null && upright ? wide * part : wide;
                double h = item.covers() != null && !upright ? high * part : high;
                add(placement, KitItem.flat(item.name(), w, h), null, false, hot);
            } else if (item.doors() == null) {
                add(placement, KitItem.thing(item.name()), null, false, false);
            }
        }
    }

    /** What is stretched over a frame, or hangs before a window. */
    private void cloths(Placement placement) {
        Piece piece = placement.piece();
        for (Modifier item : hung(placement)) {
            add(placement, KitItem.flat(item.name(), piece.widthM(), piece.tallM()), null, false, false);
        }
    }

    private List<Modifier> hung(Placement placement) {
        return state.value(placement.key(), Modifiers.class)
                .orElse(Modifiers.NONE)
                .items();
    }

    /** Whether it is a filter or cloth that pieces are cut from; nets, grids and what has a frame of its own are things. */
    private boolean isCut(Modifier item) {
        StockItem known = stock.get(item.name());
        if (known == null) {
            return item.gel() != null || item.miredShift() != 0 || item.duvShift() != 0;
        }
        return switch (known.kind()) {
            case CORRECTION, TINT, NEUTRAL_DENSITY, COLOUR, DIFFUSION -> true;
            case NET, GRID, BOUNCE, BLACK -> false;
        };
    }

    private static boolean isHot(Lamp lamp) {
        return lamp.curve() == LevelCurve.TUNGSTEN || lamp.upkeep().warmUpS() != null;
    }

    private void add(Placement placement, KitItem item, @Nullable String unit, boolean ofThePlace, boolean hot) {
        all.add(new Needed(item, unit, placement.key(), placement.name(), ofThePlace, hot));
    }
}
