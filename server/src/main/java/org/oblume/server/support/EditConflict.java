package org.oblume.server.support;

/** An edit made on a version that someone else has changed since. Nothing was kept; {@code theirs} is what stands now. */
public final class EditConflict extends RuntimeException {

    private final transient Object current;

    public EditConflict(String sentence, Object theirs) {
        super(sentence);
        this.current = theirs;
    }

    public Object current() {
        return current;
    }
}
