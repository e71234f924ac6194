package org.oblume.core.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * How a place was measured on set, exactly one of five. It bears the landmarks where they were drawn then, so that it gives its place by
 * itself, and so that a landmark that is corrected later can take along what was taped from it.
 *
 * @param taped two tapes or more, or null
 * @param polar from a mark, or null
 * @param alongWall along a wall, or null
 * @param onLandmark on a landmark, or null
 * @param photographed found by photographs, or null
 */
public record Measured(
        @Nullable Taped taped,
        @Nullable Polar polar,
        @Nullable AlongWall alongWall,
        @Nullable Landmark onLandmark,
        @Nullable Photographed photographed) {

    public Measured {
        if (Stream.of(taped, polar, alongWall, onLandmark, photographed)
                        .filter(Objects::nonNull)
                        .count()
                != 1) {
            throw new Refusal(
                    "measured",
                    "A place is measured in one way: by tapes, from a mark, along a wall, on a landmark, or by photographs.");
        }
    }

    public static Measured by(Taped taped) {
        return new Measured(taped, null, null, null, null);
    }

    public static Measured by(Polar polar) {
        return new Measured(null, polar, null, null, null);
    }

    public static Measured by(AlongWall wall) {
        return new Measured(null, null, wall, null, null);
    }

    public static Measured on(Landmark landmark) {
        return new Measured(null, null, null, landmark, null);
    }

    public static Measured by(Photographed photographs) {
        return new Measured(null, null, null, null, photographs);
    }

    /** The place that it gives. */
    public PlanPoint point() {
        if (taped != null) {
            return taped.fit().point();
        }
        if (polar != null) {
            return polar.point();
        }
        if (photographed != null) {
            return photographed.point();
        }
        return alongWall != null ? alongWall.point() : onIt().point();
    }

    /** On a landmark, where it is none of the others. */
    private Landmark onIt() {
        return Objects.requireNonNull(onLandmark);
    }

    /** How well the place is known; tapes may cross too flat, photographs be taken from nearly one side, the other ways are good. */
    public Crossing crossing() {
        if (photographed != null) {
            return Photographed.quality(photographed.sigmaFloorM());
        }
        return taped == null ? Crossing.GOOD : taped.fit().crossing();
    }

    /** The landmarks that it was measured from, where they were drawn then. */
    public List<Landmark> landmarks() {
        List<Landmark> all = new ArrayList<>();
        if (taped != null) {
            taped.tapes().forEach(t -> all.add(t.from()));
        } else if (alongWall != null) {
            all.addAll(List.of(alongWall.from(), alongWall.towards()));
        } else if (onLandmark != null) {
            all.add(onLandmark);
        } else if (photographed != null) {
            all.addAll(photographed.landmarks());
        }
        return all;
    }

    /** Whether each landmark that it was measured from is drawn where it was then. */
    public boolean standsIn(List<Landmark> drawn) {
        return landmarks().stream().allMatch(l -> drawn.stream().anyMatch(l::isDrawnAs));
    }

    /**
     * The same measures from landmarks that were corrected.
     *
     * @throws Refusal when the tapes do not meet from there
     */
    public Measured from(UnaryOperator<Landmark> corrected) {
        if (taped != null) {
            Taped now = new Taped(
                    taped.tapes().stream()
                            .map(t -> new Tape(corrected.apply(t.from()), t.lengthM()))
                            .toList(),
                    taped.side());
            now.fit();
            return by(now);
        }
        if (alongWall != null) {
            return by(new AlongWall(
                    corrected.apply(alongWall.from()),
                    corrected.apply(alongWall.towards()),
                    alongWall.alongM(),
                    alongWall.outM(),
                    alongWall.side()));
        }
        return onLandmark == null ? this : on(corrected.apply(onLandmark));
    }

    /** In few words: {@code by 3 tapes}. */
    public String how() {
        if (taped != null) {
            return "by %d tapes".formatted(taped.tapes().size());
        }
        if (polar != null) {
            return "from %s".formatted(polar.mark());
        }
        if (photographed != null) {
            return photographed.how();
        }
        return alongWall != null ? "along the wall" : "on %s".formatted(onIt().name());
    }

    /** Each measure as it was taken. */
    public Phrase phrase() {
        if (taped != null) {
            return taped.phrase();
        }
        if (polar != null) {
            return polar.phrase();
        }
        if (photographed != null) {
            return photographed.phrase();
        }
        return alongWall != null ? alongWall.phrase() : Phrase.of("on %s".formatted(onIt().name()));
    }
}
