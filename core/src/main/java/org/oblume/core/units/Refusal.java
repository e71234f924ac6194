package org.oblume.core.units;

import org.jspecify.annotations.Nullable;

/**
 * A value or a step that the rules of the job do not allow. The message is a sentence for a crew member: it names
 * the value, the rule and what to do next.
 */
public final class Refusal extends IllegalArgumentException {

    private final @Nullable String field;

    public Refusal(String sentence) {
        this(null, sentence);
    }

    /**
     * @param field name of the input at fault, as the caller knows it
     * @param sentence what is wrong and what to do
     */
    public Refusal(@Nullable String field, String sentence) {
        super(sentence);
        this.field = field;
    }

    /** The same refusal, of an input that the caller knows by that name. */
    public Refusal at(String name) {
        return new Refusal(name, String.valueOf(getMessage()));
    }

    /** Name of the input at fault, or null when the whole request is. */
    public @Nullable String field() {
        return field;
    }
}
