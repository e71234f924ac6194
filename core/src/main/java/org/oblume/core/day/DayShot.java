package org.oblume.core.day;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A shot of a day.
 *
 * @param name its slate
 * @param changeoverMin minutes from the shot before it until its light is ready, 0 or more
 * @param shootMin minutes of its takes, 1 or more
 * @param light times in which its takes have to be, or none when any will do
 * @param needsLight whether it has to be in one of them; without any it is in none
 * @param soFar what was really so, or null while it has not begun
 * @param doneBy when its takes have to be over, because somebody leaves; or null
 * @param elsewhere when something that it needs is in use elsewhere
 * @param watts what each unit draws in it, W, 0 or more; one that is left out draws nothing
 */
public record DayShot(
        String name,
        double changeoverMin,
        double shootMin,
        List<LightSpan> light,
        boolean needsLight,
        @Nullable SoFar soFar,
        @Nullable TimeOfDay doneBy,
        List<Elsewhere> elsewhere,
        Map<String, Double> watts) {

    private static final double LONGEST_MIN = 1440;
    private static final double HOUR_MIN = 60;

    /**
     * What was really so.
     *
     * @param shootFrom first take, or null while there is none
     * @param shootTo when it was wrapped, or null while it is shot
     */
    public record SoFar(@Nullable TimeOfDay shootFrom, @Nullable TimeOfDay shootTo) {}

    /**
     * Something that a shot needs is in use elsewhere.
     *
     * @param what and where, in words
     */
    public record Elsewhere(TimeOfDay from, TimeOfDay to, String what) {}

    public DayShot {
        Checks.within("changeoverMinutes", "A changeover", changeoverMin, 0, LONGEST_MIN, " min");
        Checks.within("shootMinutes", "The takes of a shot", shootMin, 1, LONGEST_MIN, " min");
        light = List.copyOf(light);
        elsewhere = List.copyOf(elsewhere);
        watts.forEach((unit, drawn) -> {
            if (!Double.isFinite(drawn) || drawn < 0) {
                throw new Refusal("watts", "%s draws 0 W or more: look at the figure.".formatted(unit));
            }
        });
        watts = Map.copyOf(watts);
    }

    /** One that nobody leaves and of which nothing is elsewhere. */
    public DayShot(
            String name,
            double changeoverMin,
            double shootMin,
            List<LightSpan> light,
            boolean needsLight,
            @Nullable SoFar soFar,
            Map<String, Double> watts) {
        this(name, changeoverMin, shootMin, light, needsLight, soFar, null, List.of(), watts);
    }

    /** One that nothing is known of but how long it takes. */
    public static DayShot of(String name, double changeoverMin, double shootMin) {
        return new DayShot(name, changeoverMin, shootMin, List.of(), false, null, null, List.of(), Map.of());
    }

    /** The same with what units draw in it, W. */
    DayShot drawing(Map<String, Double> drawn) {
        return new DayShot(name, changeoverMin, shootMin, light, needsLight, soFar, doneBy, elsewhere, drawn);
    }

    /** What a unit draws in it, W. */
    double draw(String unit) {
        return watts.getOrDefault(unit, 0.0);
    }

    /** What a unit draws in its takes, Wh. */
    double drawnWh(String unit) {
        return draw(unit) * shootMin / HOUR_MIN;
    }

    /** The same after another changeover. */
    DayShot after(double minutes) {
        return new DayShot(name, minutes, shootMin, light, needsLight, soFar, doneBy, elsewhere, watts);
    }
}
