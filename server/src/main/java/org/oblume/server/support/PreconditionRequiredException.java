package org.oblume.server.support;

/** An edit that does not say which version it was made on. */
public final class PreconditionRequiredException extends RuntimeException {

    PreconditionRequiredException(String sentence) {
        super(sentence);
    }
}
