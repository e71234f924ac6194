package org.oblume.core.kit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * What shots need of one thing of the kit together.
 *
 * @param count the most that stands at once, 1 or more
 * @param units the very ones that are recorded, each once, in alphabetical order
 * @param shots that need it, in their order
 * @param by what it is for, each once: {@code Key}
 * @param ofThePlace whether all that needs it may well stand there already
 * @param hotMinutes that a piece of it hangs before lamps that burn it, takes only
 */
public record DayNeed(
        KitItem item,
        int count,
        Set<String> units,
        List<String> shots,
        List<String> by,
        boolean ofThePlace,
        double hotMinutes) {

    /** Hours of takes before a hot lamp after which a filter is taken as faded (model: every filter and lamp alike). */
    public static final int WORN_AFTER_H = 8;

    /**
     * A shot when it stands.
     *
     * @param fromMin minutes of the day from which it is set up; of shots that one crew shoots none is over another
     * @param toMin when it is wrapped, later than that
     * @param takesMin minutes of its takes, 0 or more
     */
    public record ShotInTime(String shot, double fromMin, double toMin, double takesMin, List<Needed> things) {

        public ShotInTime {
            things = List.copyOf(things);
            if (toMin <= fromMin) {
                throw new IllegalArgumentException("A shot is wrapped after it is set up");
            }
        }
    }

    /** Pieces more than {@link #count} because lamps burn them: one for each {@value #WORN_AFTER_H} hours before a hot one (model). */
    public int worn() {
        return (int) Math.floor(hotMinutes / (WORN_AFTER_H * 60));
    }

    /** How many there have to be: each recorded one, and as many as stand at once. */
    public int toPull() {
        return Math.max(count, units.size());
    }

    /**
     * What shots need: of each thing the most that stands at once. What two crews shoot at once adds up, what one crew shoots one after the
     * other does not (model: what is not in the shot that is set up is struck).
     *
     * @return in the order in which the shots name the things, what is smaller after what it is a part of
     */
    public static List<DayNeed> of(List<ShotInTime> shots) {
        Map<KitItem, Gathered> all = new LinkedHashMap<>();
        for (ShotInTime shot : shots) {
            for (Needed one : shot.things) {
                all.computeIfAbsent(key(one.item()), k -> new Gathered(one.item()))
                        .add(shot, one);
            }
        }
        for (ShotInTime at : shots) {
            Map<KitItem, Standing> standing = new LinkedHashMap<>();
            shots.stream()
                    .filter(s -> s.fromMin <= at.fromMin && at.fromMin < s.toMin)
                    .flatMap(s -> s.things.stream())
                    .forEach(one -> standing.computeIfAbsent(key(one.item()), k -> new Standing())
                            .add(one.unit()));
            all.forEach((item, found) -> {
                Standing now = standing.get(item);
                found.count = Math.max(found.count, now == null ? 0 : now.count());
            });
        }
        return all.values().stream().map(Gathered::need).toList();
    }

    private static KitItem key(KitItem item) {
        return new KitItem(item.sort(), item.what().toLowerCase(Locale.ROOT), item.size());
    }

    /** What stands at one time; a unit that two shots name stands once. */
    private static final class Standing {

        private final Set<String> units = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
        private int unnamed;

        void add(@Nullable String unit) {
            if (unit == null) {
                unnamed++;
            } else {
                units.add(unit);
            }
        }

        int count() {
            return unnamed + units.size();
        }
    }

    private static final class Gathered {

        private final KitItem item;
        private int count;
        private final Set<String> units = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
        private final Set<String> shots = new LinkedHashSet<>();
        private final Set<String> by = new LinkedHashSet<>();
        private boolean ofThePlace = true;
        private double hotMinutes;

        Gathered(KitItem item) {
            this.item = item;
        }

        void add(ShotInTime shot, Needed one) {
            shots.add(shot.shot);
            by.add(one.by());
            if (one.unit() != null) {
                units.add(one.unit());
            }
            ofThePlace &= one.ofThePlace();
            hotMinutes += one.hot() ? shot.takesMin : 0;
        }

        DayNeed need() {
            return new DayNeed(item, count, units, new ArrayList<>(shots), new ArrayList<>(by), ofThePlace, hotMinutes);
        }
    }
}
