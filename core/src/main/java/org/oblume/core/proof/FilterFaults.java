package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.oblume.core.filter.StockItem;
import org.oblume.core.light.SourceColour;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;

/** What hangs before a head: one of it missing, there twice, or another of the stock in its place. */
final class FilterFaults implements FaultFamily {

    @Override
    public List<Fault> of(Recorded shot) {
        List<Fault> all = new ArrayList<>();
        for (int i = 0; i < shot.lights().size(); i++) {
            Placement light = shot.lights().get(i);
            List<Modifier> items = shot.modifiers(light).items();
            List<Fault> swapped = new ArrayList<>();
            for (int at = 0; at < items.size(); at++) {
                Modifier item = items.get(at);
                String name = item.name();
                add(
                        all,
                        shot,
                        i,
                        Fault.Kind.FILTER_MISSING,
                        "%s is missing at %s".formatted(name, light.name()),
                        1,
                        otherwise(items, at));
                add(
                        all,
                        shot,
                        i,
                        Fault.Kind.FILTER_DOUBLED,
                        "%s is there twice at %s".formatted(name, light.name()),
                        1,
                        otherwise(items, at, item, item));
                for (StockItem other : Stand.ins(shot.stock(), name)) {
                    Modifier instead = Modifier.of(other);
                    if (item.frameWidthM() != null && item.frameDistanceM() != null) {
                        instead = instead.framed(item.frameWidthM(), item.frameDistanceM());
                    }
                    add(
                            swapped,
                            shot,
                            i,
                            Fault.Kind.FILTER_SWAPPED,
                            "%s hangs in place of %s at %s".formatted(other.name(), name, light.name()),
                            Stand.alike(other.name(), name),
                            otherwise(items, at, instead.covering(item.covers(), item.share())));
                }
            }
            all.addAll(DimmingFaults.shared(swapped));
        }
        return all;
    }

    /** What hangs there with these in the place of one. */
    private static List<Modifier> otherwise(List<Modifier> items, int at, Modifier... instead) {
        List<Modifier> other = new ArrayList<>(items);
        other.remove(at);
        other.addAll(at, List.of(instead));
        return other;
    }

    private static void add(
            List<Fault> all,
            Recorded shot,
            int index,
            Fault.Kind kind,
            String words,
            double weight,
            List<Modifier> otherwise) {
        Placement light = shot.lights().get(index);
        effect(shot, index, light, otherwise)
                .ifPresent(effect -> all.add(new Fault(kind, light.key(), words, weight, effect)));
    }

    /** What is clear at the head only colours its light; cloth and grids send it elsewhere. */
    private static Optional<Fault.Effect> effect(Recorded shot, int index, Placement light, List<Modifier> otherwise) {
        List<Modifier> recorded = shot.modifiers(light).items();
        List<Modifier> changed = new ArrayList<>(recorded);
        otherwise.forEach(changed::remove);
        List<Modifier> now = new ArrayList<>(otherwise);
        recorded.forEach(now::remove);
        Optional<SourceColour> white = SourceColour.of(light, shot.state());
        if (white.isPresent()
                && changed.stream().allMatch(FilterFaults::colours)
                && now.stream().allMatch(FilterFaults::colours)) {
            return white.map(w -> WhiteFaults.gains(index, w.behind(recorded), w.behind(otherwise)));
        }
        return shot.of(index, new Modifiers(otherwise)).map(rows -> new Fault.Rows(Map.of(index, rows)));
    }

    private static boolean colours(Modifier item) {
        return item.soft() == 0
                && item.frameWidthM() == null
                && item.covers() == null
                && item.narrowsToDeg() == null
                && item.doors() == null;
    }
}
