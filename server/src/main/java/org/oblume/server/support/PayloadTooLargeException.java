package org.oblume.server.support;

import java.io.IOException;
import java.io.InputStream;

/** A body larger than is taken here. */
public final class PayloadTooLargeException extends RuntimeException {

    private static final int MEGABYTE = 1024 * 1024;

    public PayloadTooLargeException(String sentence) {
        super(sentence);
    }

    /**
     * Reads a body itself, so that one that is too large is refused before it fills the memory.
     *
     * @param sentence what to say then, with {@code %d} for the megabytes
     */
    public static byte[] read(InputStream body, int largestMb, String sentence) throws IOException {
        byte[] bytes = body.readNBytes(largestMb * MEGABYTE + 1);
        if (bytes.length > largestMb * MEGABYTE) {
            throw new PayloadTooLargeException(sentence.formatted(largestMb));
        }
        return bytes;
    }
}
