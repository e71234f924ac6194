package org.oblume.server.copies;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.oblume.server.storage.RecordFile;
import org.oblume.server.storage.StudioDatabase;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.util.unit.DataSize;

/**
 * Copies the record while it is worked on: each quarter of an hour in which something changed, into the data folder and into the second
 * folder where one is named. There a journal takes each edit between two copies, before it is acknowledged.
 */
@Service
public class CopyService {

    /** Left by {@code ./oblume backup} in the copies' folder; gone when the copy is made. */
    static final String WANTED = "wanted";

    static final String COPIES = "copies";
    private static final String OF_A_STUDIO =
            "The record is in the studio’s database: its copies are made there, not by this server.";
    private static final Logger LOG = LoggerFactory.getLogger(CopyService.class);
    private static final Duration EACH = Duration.ofMinutes(15);
    private static final Duration AFTER_A_FAILURE = Duration.ofMinutes(1);

    private final RecordFile file;
    private final Clock clock;
    private final Path data;
    private final DataSize leastRoom;
    private final CopyFolder here;
    private final boolean onDisk;
    /** Whether a database server keeps the record, and its copies. */
    private final boolean ofAStudio;

    private final ExecutorService copying = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "copy");
        thread.setDaemon(true);
        return thread;
    });
    private long changesInNewest = -1;
    /** A disk that is full is not filled by trying. */
    private volatile Instant notBefore = Instant.EPOCH;

    private volatile @Nullable Instant newest;
    private volatile @Nullable Instant newestElsewhere;
    private volatile @Nullable String problem;
    /** Whether a copy in the second folder and the journals after it make the record of now. */
    private volatile boolean whole;
    /** When such a journal last took an edit, once it is gone. */
    private volatile @Nullable Instant journaledUpTo;

    CopyService(
            RecordFile file,
            Clock clock,
            @Value("${oblume.data}") Path data,
            @Value("${oblume.least-room}") DataSize leastRoom,
            @Value("${spring.datasource.url}") String url) {
        this.file = file;
        this.clock = clock;
        this.data = data.toAbsolutePath();
        this.leastRoom = leastRoom;
        this.onDisk = RecordFile.isOurs(url);
        this.ofAStudio = url.startsWith(StudioDatabase.URL);
        this.here = new CopyFolder(this.data.resolve(COPIES));
    }

    /**
     * How safe the record is.
     *
     * @param newest when the newest copy on this machine was begun
     * @param secondFolder the second folder, or null when none was named
     * @param newestElsewhere when the newest copy there was begun
     * @param journal whether each edit goes there too before it is acknowledged
     * @param heldElsewhere up to when what was acknowledged is there as well, milliseconds since 1970; devices may forget that
     * @param problem why the second folder, or the last copy, failed
     * @param couldBeLost what would be lost with this machine, in a sentence
     */
    public record Safety(
            @Nullable Instant newest,
            @Nullable String secondFolder,
            @Nullable Instant newestElsewhere,
            boolean journal,
            @Nullable Long heldElsewhere,
            @Nullable String problem,
            String couldBeLost) {}

    public Safety safety() {
        Optional<Path> second = second();
        boolean journal = goesOn();
        Instant elsewhere = newestElsewhere;
        Instant held = journal ? clock.instant() : later(elsewhere, journaledUpTo);
        return new Safety(
                newest,
                second.map(Path::toString).orElse(null),
                elsewhere,
                journal,
                held == null ? null : held.toEpochMilli(),
                problem(),
                ofAStudio ? OF_A_STUDIO : couldBeLost(second.isPresent(), journal, held));
    }

    /** Whether what is acknowledged now can be brought back from the second folder. */
    private boolean goesOn() {
        if (whole && !file.hasJournal()) {
            journaledUpTo = Instant.ofEpochMilli(file.journaledUpTo());
            whole = false;
        }
        return whole;
    }

    private static @Nullable Instant later(@Nullable Instant a, @Nullable Instant b) {
        return a == null || (b != null && b.isAfter(a)) ? b : a;
    }

    private static String couldBeLost(boolean named, boolean journal, @Nullable Instant held) {
        if (journal) {
            return "Nothing that was acknowledged is lost with the server’s machine: each edit is in the second folder too.";
        }
        if (!named) {
            return "If the server’s machine is lost, so is the record: its copies are beside it. Name a second folder, such as a memory stick: ./oblume run --second FOLDER";
        }
        return held == null
                ? "If the server’s machine is lost, so is the record: the second folder has nothing yet. See that it is there and has room."
                : "If the server’s machine is lost, what was done since the newest copy in the second folder is lost with it. See that the folder is there and has room.";
    }

    private @Nullable String problem() {
        String lost = file.journalProblem();
        return lost != null ? lost : problem;
    }

    /**
     * Makes a copy now, checks it by opening it, and begins a journal with it in the second folder.
     *
     * @return when it was begun
     * @throws IOException when it could not be made here; what fails in the second folder is told by {@link #safety}
     */
    public synchronized Instant copyNow() throws IOException {
        Instant begun = clock.instant();
        long changes = file.changes();
        Files.createDirectories(here.folder());
        needRoom();
        problem = null;
        Optional<CopyFolder> second = second().map(CopyFolder::new);
        second.ifPresent(folder -> journal(folder, begun));
        Path part = here.folder().resolve("being-made.part");
        try {
            file.copyTo(part);
            long rows = CopyCheck.rowsOfCopy(part);
            here.take(part, begun);
            changesInNewest = changes;
            newest = begun;
            LOG.debug("A copy with {} rows was made.", rows);
            second.ifPresent(folder -> takeElsewhere(folder, part, begun));
            here.thin();
        } catch (IOException failed) {
            problem = "The copy of " + begun + " failed: " + failed.getMessage();
            notBefore = begun.plus(AFTER_A_FAILURE);
            LOG.warn("No copy was made: {}", failed.getMessage());
            throw failed;
        } finally {
            Files.deleteIfExists(part);
        }
        return begun;
    }

    /** A copy is packed, and unpacked to be looked at; the edits keep the room that they need. */
    private void needRoom() throws IOException {
        Path database = data.resolve("oblume" + CopyCheck.FILE);
        long needed = (Files.exists(database) ? 2 * Files.size(database) : 0) + leastRoom.toBytes();
        if (Files.getFileStore(here.folder()).getUsableSpace() < needed) {
            problem = "There is no room for a copy on the server’s machine: %d MB are needed.".formatted(needed >> 20);
            notBefore = clock.instant().plus(AFTER_A_FAILURE);
            throw new IOException(problem);
        }
    }

    /** What was acknowledged until now is in the journal before; from here on it is in the next one. */
    private void journal(CopyFolder second, Instant begun) {
        try {
            if (!Files.isDirectory(second.folder())) {
                throw new IOException("The second folder " + second.folder() + " is not there");
            }
            file.journalTo(second.journal(begun));
        } catch (IOException lost) {
            giveUp(lost);
        }
    }

    private void takeElsewhere(CopyFolder second, Path copy, Instant begun) {
        try {
            second.take(copy, begun);
            newestElsewhere = begun;
            whole = true;
            second.thin();
        } catch (IOException lost) {
            if (!goesOn()) {
                file.endJournal(); // there is nothing that it could be played upon
            }
            giveUp(lost);
        }
    }

    private void giveUp(IOException lost) {
        problem = String.valueOf(lost.getMessage());
        notBefore = clock.instant().plus(AFTER_A_FAILURE);
        LOG.warn("The second folder does not take a copy: {}", lost.getMessage());
    }

    private Optional<Path> second() {
        try {
            return SecondFolder.of(data);
        } catch (IOException unreadable) {
            LOG.warn("Which folder is the second one cannot be read: {}", unreadable.getMessage());
            return Optional.empty();
        }
    }

    /** The journal needs a copy to begin with. */
    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (!onDisk) {
            return;
        }
        copying.execute(() -> {
            try {
                newest = here.newest().orElse(null);
                Optional<Path> second = second();
                if (second.isPresent()) {
                    newestElsewhere = new CopyFolder(second.get()).newest().orElse(null);
                    copyNow();
                }
            } catch (IOException | RuntimeException failed) {
                LOG.warn("The first copy failed: {}", failed.getMessage());
            }
        });
    }

    /** Looks whether a copy is due, was asked for, or may begin again in a second folder that is back. */
    @Scheduled(fixedDelayString = "PT2S")
    void look() {
        if (!onDisk) {
            return;
        }
        copying.execute(this::copyIfDue);
    }

    private void copyIfDue() {
        Path wanted = here.folder().resolve(WANTED);
        boolean asked = Files.exists(wanted);
        try {
            if (asked || (!clock.instant().isBefore(notBefore) && (isDue() || folderIsBack()))) {
                copyNow();
            }
        } catch (IOException | RuntimeException failed) {
            LOG.debug("It is tried again.", failed);
        } finally {
            if (asked) { // a wish of meanwhile is for the next one
                granted(wanted);
            }
        }
    }

    private static void granted(Path wanted) {
        try {
            Files.deleteIfExists(wanted);
        } catch (IOException kept) {
            LOG.debug("The wish stays.", kept);
        }
    }

    private boolean isDue() {
        Instant last = newest;
        return file.changes() != changesInNewest
                && (last == null || last.plus(EACH).isBefore(clock.instant()));
    }

    private boolean folderIsBack() {
        Optional<Path> second = second();
        return second.isPresent()
                && !file.hasJournal()
                && Files.isDirectory(second.get())
                && Files.isWritable(second.get());
    }
}
