package org.oblume.core.say;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;

/** Thrown at a word that means nothing where it stands, or that says what cannot be. */
final class NotUnderstood extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient Words.@Nullable Word word;
    private final transient Phrase sentence;
    private final transient List<String> suggestions;

    /** @param word where, or null for the end of the line */
    NotUnderstood(Words.@Nullable Word word, Phrase sentence, List<String> suggestions) {
        super(sentence.metric(), null, false, false);
        this.word = word;
        this.sentence = sentence;
        this.suggestions = List.copyOf(suggestions);
    }

    ParsedCommand.Problem in(String line) {
        return new ParsedCommand.Problem(
                word == null ? line.length() : word.from(),
                word == null ? line.length() : word.to(),
                sentence,
                suggestions);
    }
}
