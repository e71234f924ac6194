package org.oblume.core.say;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** Slips of a finger or of an ear: how far one word is from another. */
final class Slips {

    private static final int MOST_OFFERED = 4;

    private Slips() {}

    /** Whether one is the other but for a letter too many, too few, another one, or two neighbours swapped. */
    static boolean isOneApart(String one, String other) {
        return Math.abs(one.length() - other.length()) <= 1 && apart(one, other) == 1;
    }

    /** The names that are least edits away, best first. */
    static List<String> nearest(String word, Collection<String> names) {
        String wanted = word.toLowerCase(Locale.ROOT);
        int most = Math.max(2, wanted.length() / 3);
        return names.stream()
                .distinct()
                .filter(n -> near(n, wanted) <= most)
                .sorted(Comparator.comparingInt((String n) -> near(n, wanted)))
                .limit(MOST_OFFERED)
                .toList();
    }

    /** Edits from the word to the name or to the nearest of its words; none when it is a beginning of it. */
    private static int near(String name, String wanted) {
        int best = wanted.length() > 2 && name.startsWith(wanted) ? 0 : apart(name, wanted);
        for (String part : name.split("[ ,]+")) {
            best = Math.min(best, apart(part, wanted));
        }
        return best;
    }

    /** Edits from one word to another, two neighbours that are swapped counted as one (optimal string alignment). */
    static int apart(String one, String other) {
        int[][] rows = new int[one.length() + 1][other.length() + 1];
        for (int i = 0; i <= one.length(); i++) {
            for (int j = 0; j <= other.length(); j++) {
                if (i == 0 || j == 0) {
                    rows[i][j] = i + j;
                    continue;
                }
                int change = one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1;
                rows[i][j] = Math.min(Math.min(rows[i - 1][j], rows[i][j - 1]) + 1, rows[i - 1][j - 1] + change);
                if (i > 1
                        && j > 1
                        && one.charAt(i - 1) == other.charAt(j - 2)
                        && one.charAt(i - 2) == other.charAt(j - 1)) {
                    rows[i][j] = Math.min(rows[i][j], rows[i - 2][j - 2] + 1);
                }
            }
        }
        return rows[one.length()][other.length()];
    }
}
