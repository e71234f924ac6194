package org.oblume.core.proof;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.oblume.core.filter.StockItem;

/** Which of the stock may have been hung in the place of another. */
final class Stand {

    private Stand() {}

    /** All others of its kind. */
    static List<StockItem> ins(List<StockItem> stock, String name) {
        return stock.stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .map(item -> stock.stream()
                        .filter(s -> s.kind() == item.kind() && !s.name().equals(name))
                        .toList())
                .orElse(List.of());
    }

    /** How easily one is taken for the other by its name: 1, and 2 more for each word that they share. */
    static double alike(String one, String other) {
        Set<String> words = words(one);
        words.retainAll(words(other));
        return 1 + 2.0 * words.size();
    }

    private static Set<String> words(String name) {
        return Arrays.stream(name.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
                .collect(Collectors.toSet());
    }
}
