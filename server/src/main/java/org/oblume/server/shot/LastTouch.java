package org.oblume.server.shot;

import java.time.Instant;

/** Who changed something last, and when. */
public record LastTouch(String author, Instant at) {}
