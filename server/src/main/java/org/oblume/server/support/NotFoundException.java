package org.oblume.server.support;

/** Something that was asked for is not there any more; the message is a sentence for the crew. */
public final class NotFoundException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public NotFoundException(String sentence) {
        super(sentence);
    }
}
