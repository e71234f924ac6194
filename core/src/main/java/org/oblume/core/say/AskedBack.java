package org.oblume.core.say;

/** Thrown where what was said could be more than one thing. */
final class AskedBack extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient ParsedCommand.Ask ask;

    AskedBack(ParsedCommand.Ask ask) {
        super(ask.sentence(), null, false, false);
        this.ask = ask;
    }

    ParsedCommand.Ask ask() {
        return ask;
    }
}
