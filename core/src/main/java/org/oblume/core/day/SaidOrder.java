package org.oblume.core.day;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.core.units.Refusal;

/**
 * An order of a day as a crew says it: {@code 4D after lunch}, <em>11B before 11A, 4E last</em>, <em>swap 4C and 4D</em>.
 */
public final class SaidOrder {

    private static final Pattern SWAPPED = Pattern.compile("(?:swap|change) (.+?) (?:and|with) (.+)");
    private static final Pattern PLACED =
            Pattern.compile("(?:put |move |take )?(.+?) (?:right )?(after|before) (?:the )?(.+)");
    private static final Pattern AT_AN_END = Pattern.compile(
            "(?:put |move |take )?(.+?) (?:at the |to the )?(first|front|start|last|end)(?: of the day)?");
    private static final Map<String, Integer> PAUSES = Map.ofEntries(
            Map.entry("lunch", 0),
            Map.entry("meal", 0),
            Map.entry("pause", 0),
            Map.entry("break", 0),
            Map.entry("first pause", 0),
            Map.entry("first meal", 0),
            Map.entry("dinner", 1),
            Map.entry("supper", 1),
            Map.entry("second pause", 1),
            Map.entry("second meal", 1));

    private final List<String> named;
    private final List<String> slates;
    private final List<Integer> beforePauses;
    private final List<Integer> order = new ArrayList<>();

    private SaidOrder(List<String> slates, List<Integer> beforePauses) {
        this.named = slates;
        this.slates = slates.stream().map(SaidOrder::plain).toList();
        this.beforePauses = beforePauses;
        for (int i = 0; i < slates.size(); i++) {
            order.add(i);
        }
    }

    /**
     * The order that is meant.
     *
     * @param text clauses between commas, semicolons or <em>then</em>, each on what the ones before it left
     * @param slates of the day's shots in their order now
     * @param beforePauses of each pause of the day, in order, how many of the shots are begun before it
     * @return each index of {@code slates} once
     * @throws Refusal with what can be said, when it is not understood; or that names the shot that the day does not have
     */
    public static List<Integer> of(String text, List<String> slates, List<Integer> beforePauses) {
        SaidOrder said = new SaidOrder(slates, beforePauses);
        for (String clause : text.split("[,;.]| then | and then ")) {
            if (!clause.isBlank()) {
                said.read(plain(clause));
            }
        }
        return List.copyOf(said.order);
    }

    private static String plain(String text) {
        return text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    }

    private void read(String clause) {
        Matcher swapped = SWAPPED.matcher(clause);
        Matcher placed = PLACED.matcher(clause);
        Matcher atAnEnd = AT_AN_END.matcher(clause);
        if (swapped.matches()) {
            int one = order.indexOf(shot(swapped.group(1)));
            int other = order.indexOf(shot(swapped.group(2)));
            Collections.swap(order, one, other);
        } else if (placed.matches()) {
            place(shot(placed.group(1)), placed.group(2).equals("after"), placed.group(3));
        } else if (atAnEnd.matches()) {
            Integer shot = shot(atAnEnd.group(1));
            order.remove(shot);
            boolean first =
                    !atAnEnd.group(2).equals("last") && !atAnEnd.group(2).equals("end");
            order.add(first ? 0 : order.size(), shot);
        } else {
            throw notUnderstood(clause);
        }
    }

    private void place(Integer shot, boolean after, String of) {
        Integer pause = PAUSES.get(of);
        if (pause == null) {
            Integer other = shot(of);
            if (other.equals(shot)) {
                throw notUnderstood(of);
            }
            order.remove(shot);
            order.add(order.indexOf(other) + (after ? 1 : 0), shot);
        } else {
            if (pause >= beforePauses.size()) {
                throw new Refusal("text", "The day has no %s: say its pauses under Times.".formatted(of));
            }
            int now = order.indexOf(shot);
            int place = beforePauses.get(pause) - (now < beforePauses.get(pause) ? 1 : 0);
            order.remove(shot);
            // after it is as the first, before it as the last that is begun before it
            order.add(place, shot);
        }
    }

    private Integer shot(String said) {
        int at = slates.indexOf(said);
        if (at < 0) {
            throw new Refusal(
                    "text",
                    "“%s” is no shot of this day: it has %s."
                            .formatted(said.toUpperCase(Locale.ROOT), String.join(", ", named)));
        }
        return at;
    }

    private static Refusal notUnderstood(String clause) {
        return new Refusal(
                "text",
                "“%s” is not understood: say 4D after 4C, 4D after lunch, 4D first, or swap 4C and 4D."
                        .formatted(clause));
    }
}
