package org.oblume.server.shot;

import java.time.Instant;

/**
 * A revision that stays readable.
 *
 * @param number from 1
 * @param reason why the next was opened
 * @param author who opened it
 * @param lastEvent the record as it was then is what holds up to this event
 */
public record ClosedRevision(int number, String reason, String author, Instant at, long lastEvent) {}
