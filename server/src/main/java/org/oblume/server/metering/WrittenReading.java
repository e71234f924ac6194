package org.oblume.server.metering;

import java.time.Instant;
import org.oblume.core.metering.Reading;

/** A reading as it is written in a file. */
public record WrittenReading(Reading figures, String author, Instant at) {}
