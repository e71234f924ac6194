package org.oblume.server.support;

/** An edit that does not say which version it was made on. */
public final class PreconditionMissing extends RuntimeException {

    PreconditionMissing(String sentence) {
        super(sentence);
    }
}
