package org.oblume.server.storage;

import java.nio.file.Path;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/**
 * Whether the disk has room for more. Edits are refused while some is left, so that the database never meets a full disk in the middle
 * of a write; they are taken again as soon as somebody has made room.
 */
@Component
class DiskRoom {

    private static final long LOOK_EACH_NS = Duration.ofSeconds(1).toNanos();

    private final Path data;
    private final DataSize least;
    private volatile long lookedAt = System.nanoTime() - LOOK_EACH_NS;
    private volatile boolean enough = true;

    DiskRoom(@Value("${oblume.data}") Path data, @Value("${oblume.least-room}") DataSize least) {
        this.data = data;
        this.least = least;
    }

    /** @throws DiskFullException when there is not enough */
    void require() {
        long now = System.nanoTime();
        if (now - lookedAt >= LOOK_EACH_NS) {
            lookedAt = now;
            enough = freeBytes() >= least.toBytes();
        }
        if (!enough) {
            throw new DiskFullException(least.toMegabytes());
        }
    }

    /** A folder that is not there yet takes no room away from anybody. */
    long freeBytes() {
        return data.toFile().exists() ? data.toFile().getUsableSpace() : Long.MAX_VALUE;
    }
}
