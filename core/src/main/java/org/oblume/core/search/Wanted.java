package org.oblume.core.search;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.oblume.core.units.Refusal;

/**
 * Words that somebody looks for.
 *
 * @param words each folded, as {@link #folded} does; at least one
 */
public record Wanted(List<String> words) {

    private static final int LONGEST = 200;
    private static final int MOST = 12;
    private static final Pattern MARKS = Pattern.compile("\\p{M}");
    private static final Pattern GAPS = Pattern.compile("[\\s,;]+");

    public Wanted {
        words = List.copyOf(words);
    }

    /**
     * Reads what was typed: words apart by spaces or commas.
     *
     * @param text at most 200 characters, at most 12 words
     * @throws Refusal when it is empty or longer
     */
    public static Wanted of(String text) {
        if (text.length() > LONGEST) {
            throw new Refusal("q", "Look for less at once: %d characters are taken.".formatted(LONGEST));
        }
        List<String> words = Arrays.stream(GAPS.split(folded(text).strip()))
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
        if (words.isEmpty() || words.size() > MOST) {
            throw new Refusal("q", "Type up to %d words to look for.".formatted(MOST));
        }
        return new Wanted(words);
    }

    /** As it is compared: small letters without accents, whatever is written in other scripts as it is. */
    public static String folded(String text) {
        String plain = Normalizer.normalize(text, Normalizer.Form.NFKD);
        return MARKS.matcher(plain).replaceAll("").toLowerCase(Locale.ROOT);
    }

    /**
     * Which of the words a text has, one bit each from the first.
     *
     * @param folded a text that was folded
     */
    public int foundIn(String folded) {
        int found = 0;
        for (int i = 0; i < words.size(); i++) {
            if (folded.contains(words.get(i))) {
                found |= 1 << i;
            }
        }
        return found;
    }

    /** Whether all words are among those found. */
    public boolean isAll(int found) {
        return found == (1 << words.size()) - 1;
    }
}
