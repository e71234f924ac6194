package org.oblume.server.support;

/** An edit made on a version that someone else has changed since. Nothing was kept; {@code theirs} is what stands now. */
public final class StaleEdit extends RuntimeException {

    private final transient Object theirs;

    public StaleEdit(String sentence, Object theirs) {
        super(sentence);
        this.theirs = theirs;
    }

    public Object theirs() {
        return theirs;
    }
}
