package org.oblume.server.support;

/** A body larger than is taken here. */
public final class TooLarge extends RuntimeException {

    public TooLarge(String sentence) {
        super(sentence);
    }
}
