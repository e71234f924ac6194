package org.oblume.server.support;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;

/** The units that a device shows: it says so with each request, for what is answered as a plain sentence. */
public enum CrewUnits {
    METRIC,
    IMPERIAL;

    /** Request header; left out, it is metric. */
    public static final String HEADER = "Oblume-Units";

    public static CrewUnits of(@Nullable String header) {
        return "imperial".equalsIgnoreCase(header) ? IMPERIAL : METRIC;
    }

    public String print(Phrase phrase) {
        return this == IMPERIAL ? phrase.imperial() : phrase.metric();
    }
}
