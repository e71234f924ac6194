package org.oblume.server.recall;

/** What becomes of the lights when output stops, by a person or with the server. */
public enum AtStop {
    /** The stream ends without another level: each fixture holds or goes black, as it is set to. */
    FIXTURES_DECIDE,
    /** Three frames of zeros, then the stream ends. */
    GO_DARK
}
