package org.oblume.server.storage;

import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/**
 * Whether the disk has room for more. Edits are refused while some is left, so that the database never meets a full disk in the middle
 * of a write; they are taken again as soon as somebody has made room.
 */
@Component
class DiskRoom {

    private final Path data;
    private final DataSize least;

    DiskRoom(@Value("${oblume.data}") Path data, @Value("${oblume.least-room}") DataSize least) {
        this.data = data;
        this.least = least;
    }

    /** @throws DiskFullException when there is not enough */
    void require() {
        if (freeBytes() < least.toBytes()) {
            throw new DiskFullException(least.toMegabytes());
        }
    }

    /** A folder that is not there yet takes no room away from anybody. */
    long freeBytes() {
        return data.toFile().exists() ? data.toFile().getUsableSpace() : Long.MAX_VALUE;
    }
}
