package org.oblume.server.copies;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/**
 * Where copies and the journal go that survive this machine: a memory stick, another machine's share. It is named once, at the machine, and
 * stands in a file of the data folder.
 */
final class SecondFolder {

    static final String FILE = "second-folder";

    private SecondFolder() {}

    static Optional<Path> of(Path data) throws IOException {
        Path file = data.resolve(FILE);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        String named = Files.readString(file).strip();
        return named.isEmpty() ? Optional.empty() : Optional.of(Path.of(named).toAbsolutePath());
    }
}
