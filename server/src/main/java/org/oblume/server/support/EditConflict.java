package org.oblume.server.support;

import org.jspecify.annotations.Nullable;

/** An edit made on a version that someone else has changed since. Nothing was kept; {@code theirs} is what stands now, or null when nothing does. */
public final class EditConflict extends RuntimeException {

    private final transient @Nullable Object current;

    public EditConflict(String sentence, @Nullable Object theirs) {
        super(sentence);
        this.current = theirs;
    }

    public @Nullable Object current() {
        return current;
    }
}
