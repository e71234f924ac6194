package org.oblume.server.copies;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A folder with copies of the record: {@code oblume-20261118-203015123.zip}, named by when each was begun (UTC), and beside each, where one is
 * kept, the journal of what came after it.
 */
record CopyFolder(Path folder) {

    /** The newest so many are kept, and of each day before those its last. */
    private static final int NEWEST = 12;

    private static final int MOST = 20;
    private static final String COPY = ".zip";
    private static final String JOURNAL = ".journal";
    private static final String PREFIX = "oblume-";
    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("yyyyMMdd-HHmmssSSS").withZone(ZoneOffset.UTC);

    Path copy(Instant begun) {
        return folder.resolve(PREFIX + NAME.format(begun) + COPY);
    }

    Path journal(Instant begun) {
        return folder.resolve(PREFIX + NAME.format(begun) + JOURNAL);
    }

    /** When the copies here were begun, the newest first. */
    List<Instant> copies() throws IOException {
        return named(COPY);
    }

    /** When the journals here were begun, the newest first. */
    List<Instant> journals() throws IOException {
        return named(JOURNAL);
    }

    Optional<Instant> newest() throws IOException {
        return copies().stream().findFirst();
    }

    private List<Instant> named(String suffix) throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> name.startsWith(PREFIX) && name.endsWith(suffix))
                    .flatMap(name -> begun(name.substring(PREFIX.length(), name.length() - suffix.length())).stream())
                    .sorted((a, b) -> b.compareTo(a))
                    .toList();
        }
    }

    private static Optional<Instant> begun(String name) {
        try {
            return Optional.of(NAME.parse(name, Instant::from));
        } catch (DateTimeParseException notOurs) {
            return Optional.empty();
        }
    }

    /** Takes a copy in, whole or not at all. */
    void take(Path zip, Instant begun) throws IOException {
        Path part = folder.resolve(PREFIX + NAME.format(begun) + ".part");
        try {
            Files.copy(zip, part, StandardCopyOption.REPLACE_EXISTING);
            Files.move(part, copy(begun), StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** Removes copies beyond those that are kept, and journals that only a copy before the last but one would need. */
    void thin() throws IOException {
        List<Instant> all = copies();
        for (Instant one : dropped(all)) {
            Files.deleteIfExists(copy(one));
        }
        if (all.size() > 1) {
            for (Instant journal : journals()) {
                if (journal.isBefore(all.get(1))) {
                    Files.deleteIfExists(journal(journal));
                }
            }
        }
    }

    /** Which of these go: at most twenty stay, the newest twelve and of each day before those the last. */
    static List<Instant> dropped(List<Instant> newestFirst) {
        Set<LocalDate> days = new HashSet<>();
        List<Instant> dropped = new ArrayList<>();
        int kept = 0;
        for (Instant one : newestFirst) {
            boolean ofItsDay = days.add(LocalDate.ofInstant(one, ZoneOffset.UTC));
            if (kept < NEWEST || (ofItsDay && kept < MOST)) {
                kept++;
            } else {
                dropped.add(one);
            }
        }
        return dropped;
    }
}
