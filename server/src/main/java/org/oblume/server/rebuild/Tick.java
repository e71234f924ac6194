package org.oblume.server.rebuild;

import java.time.Instant;

/** Who put a placement back, and when. */
public record Tick(String placement, String author, Instant at) {}
