package org.oblume.core.units;

import org.jspecify.annotations.Nullable;

/**
 * A value or a step that the rules of the job do not allow. It bears a sentence for a crew member: the value, the rule and what to do
 * next. {@link #getMessage()} is the sentence in metric units.
 */
public final class Refusal extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    private final @Nullable String field;
    private final transient Phrase phrase;

    public Refusal(String sentence) {
        this(null, sentence);
    }

    public Refusal(Phrase sentence) {
        this(null, sentence);
    }

    /**
     * A refusal that names what is at fault.
     *
     * @param field name of the input at fault, as the caller knows it
     * @param sentence what is wrong and what to do
     */
    public Refusal(@Nullable String field, String sentence) {
        this(field, Phrase.of(sentence));
    }

    /** The same, with lengths in the sentence. */
    public Refusal(@Nullable String field, Phrase sentence) {
        super(sentence.metric());
        this.field = field;
        this.phrase = sentence;
    }

    /** The same refusal, of an input that the caller knows by that name. */
    public Refusal at(String name) {
        return new Refusal(name, phrase);
    }

    /** Name of the input at fault, or null when the whole request is. */
    public @Nullable String field() {
        return field;
    }

    /** The sentence in both unit systems. */
    public Phrase phrase() {
        return phrase;
    }
}
