package org.oblume.core.say;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The words of a line, or of a part of it, read from left to right. A figure and its unit are two words: {@code 45}, {@code %}. */
final class Words {

    private static final Pattern WORD = Pattern.compile(
            "[,;]|\\d+/\\d+|\\d+(?:[.,]\\d+)?(?=(?:m|cm|mm|ft|in|k|s|w|kw|hz|mil|deg|th)(?![\\p{L}\\d]))"
                    + "|[½¼¾⅓⅔⅛]|[tf]\\d+(?:\\.\\d+)?(?![\\p{L}\\d])|\\d+\\p{L}[\\p{L}\\d]*|\\d+(?:[.,]\\d+)?|\\.\\d+|['’′\"″%°+−–]"
                    + "|-(?=\\s?[\\d.½⅓⅔])|\\p{L}[\\p{L}\\d]*(?:['’](?!\\s|$)\\p{L}+)?|[^\\s:!?.\\-]",
            Pattern.CASE_INSENSITIVE);

    private final List<Word> all;
    private int next;

    /**
     * @param text in lower case, with one sign for each of minus, foot and inch
     * @param from place of its first character in the line
     * @param to place after its last
     */
    record Word(String text, int from, int to) {

        boolean isBreak() {
            return text.equals(",") || text.equals(";");
        }
    }

    private Words(List<Word> all) {
        this.all = all;
    }

    static Words of(String line) {
        List<Word> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(line);
        while (matcher.find()) {
            words.add(new Word(plain(matcher.group()), matcher.start(), matcher.end()));
        }
        return new Words(words);
    }

    static Words of(List<Word> words) {
        return new Words(new ArrayList<>(words));
    }

    /** What is said in several signs, in one. */
    static String plain(String text) {
        return text.toLowerCase(Locale.ROOT)
                .replace('’', '\'')
                .replace('′', '\'')
                .replace('″', '"')
                .replace('−', '-')
                .replace('–', '-');
    }

    List<Word> all() {
        return all;
    }

    int at() {
        return next;
    }

    void back(int to) {
        next = to;
    }

    boolean done() {
        return next >= all.size();
    }

    /** The text of the word so many places on; empty behind the end. */
    String peek(int ahead) {
        return next + ahead < all.size() ? all.get(next + ahead).text : "";
    }

    String peek() {
        return peek(0);
    }

    Word take() {
        return all.get(next++);
    }

    void skip(int count) {
        next += count;
    }

    /** Takes the next word when it is one of these. */
    boolean take(String... any) {
        if (!done() && Arrays.asList(any).contains(peek())) {
            next++;
            return true;
        }
        return false;
    }

    /** Takes the next word when something is known by it, and gives that. */
    <T> Optional<T> takeKnown(Map<String, T> known) {
        Optional<T> found = done() ? Optional.empty() : Optional.ofNullable(known.get(peek()));
        found.ifPresent(f -> next++);
        return found;
    }

    /** Takes the words of a phrase when all of them come next. */
    boolean takePhrase(String phrase) {
        String[] parts = phrase.split(" ");
        for (int i = 0; i < parts.length; i++) {
            if (!peek(i).equals(parts[i])) {
                return false;
            }
        }
        next += parts.length;
        return true;
    }

    /** Takes the first of these phrases that comes next. */
    boolean takeAny(String... phrases) {
        return Arrays.stream(phrases).anyMatch(this::takePhrase);
    }

    /** Passes over words that say nothing here. */
    Words pass(String... any) {
        List<String> words = Arrays.asList(any);
        while (!done() && words.contains(peek())) {
            next++;
        }
        return this;
    }

    /** Passes over articles. */
    Words article() {
        return pass("the", "a", "an", "some", "my", "our");
    }

    /** Words from here on, at most so many, with one space between; none after a break. */
    String ahead(int count) {
        return all.stream()
                .skip(next)
                .limit(count)
                .takeWhile(w -> !w.isBreak())
                .map(Word::text)
                .collect(Collectors.joining(" "));
    }

    boolean isNext(Set<String> any) {
        return !done() && any.contains(peek());
    }

    /** Turns words into breaks: they were read, and say nothing of what is around them. */
    void dropped(int from, int to) {
        for (int i = from; i < to; i++) {
            all.set(i, new Word(",", all.get(i).from(), all.get(i).to()));
        }
    }

    /** Whether nothing follows in this clause. */
    boolean endsClause() {
        return done() || all.get(next).isBreak() || peek().equals("and") || peek().equals("please");
    }
}
