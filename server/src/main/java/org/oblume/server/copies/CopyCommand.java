package org.oblume.server.copies;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.h2.tools.Backup;
import org.jspecify.annotations.Nullable;
import org.oblume.server.storage.FileJournal;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * What is done at the machine, while the server runs or not: {@code backup}, {@code restore}, {@code reset-lead}. Says one sentence, and
 * ends with 1 when it could not be done.
 */
public final class CopyCommand {

    private static final Duration PATIENCE = Duration.ofMinutes(2);
    private static final int LOOK_MS = 200;
    private static final String DATABASE = "oblume" + CopyCheck.FILE;
    private static final int ROUNDS = 11;
    private static final String SIGNS = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final int GROUPS = 4;
    private static final int GROUP = 4;

    private final Path data;

    CopyCommand(Path data) {
        this.data = data;
    }

    /** Could not be done, for a reason in one sentence. */
    static final class Failure extends Exception {
        Failure(String sentence) {
            super(sentence);
        }
    }

    public static void main(String[] args) {
        CopyCommand command = new CopyCommand(Path.of(args[1]).toAbsolutePath());
        @Nullable String what = args.length > 2 && !args[2].isEmpty() ? args[2] : null;
        try {
            System.out.println(
                    switch (args[0]) {
                        case "backup" ->
                            command.backup(what == null ? null : Path.of(what).toAbsolutePath());
                        case "restore" ->
                            command.restore(Path.of(what == null ? "" : what).toAbsolutePath());
                        default -> command.resetLead(what);
                    });
        } catch (Failure | IOException | SQLException failed) {
            System.err.println("oblume: " + failed.getMessage());
            System.exit(1);
        }
    }

    /**
     * Makes a copy and checks it by opening it.
     *
     * @param to a folder that gets the copy too, or null
     */
    String backup(@Nullable Path to) throws IOException, Failure {
        needData();
        if (to != null && !Files.isDirectory(to)) {
            throw new Failure("%s is not a folder.".formatted(to));
        }
        CopyFolder here = new CopyFolder(Files.createDirectories(data.resolve(CopyService.COPIES)));
        Instant begun = isRunning() ? askTheServer(here) : copyByHand(here);
        Path copy = here.copy(begun);
        long rows = CopyCheck.rowsOfCopy(copy);
        if (to != null) {
            new CopyFolder(to).take(copy, begun);
            copy = new CopyFolder(to).copy(begun);
        }
        return "The copy is %s; it opens, and holds %,d rows.".formatted(copy, rows);
    }

    private static Instant askTheServer(CopyFolder here) throws IOException, Failure {
        Instant asked = Instant.now();
        Path wish = Files.write(here.folder().resolve(CopyService.WANTED), new byte[0]);
        while (Files.exists(wish)) {
            if (Instant.now().isAfter(asked.plus(PATIENCE))) {
                throw new Failure("The server did not make a copy within two minutes: see its log.");
            }
            pause();
        }
        return here.newest()
                .filter(begun -> !begun.isBefore(asked.minusMillis(1)))
                .orElseThrow(() -> new Failure("The server could not make a copy: see that the disk has room."));
    }

    private static void pause() {
        try {
            Thread.sleep(LOOK_MS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private Instant copyByHand(CopyFolder here) throws IOException, Failure {
        Instant begun = Instant.now();
        Path part = here.folder().resolve("being-made.part");
        try {
            Backup.execute(part.toString(), data.toString(), "oblume", true);
            here.take(part, begun);
        } catch (SQLException failed) {
            throw new Failure("No copy was made: %s.".formatted(failed.getMessage()));
        } finally {
            Files.deleteIfExists(part);
        }
        return begun;
    }

    /**
     * Puts a copy, and what the journals beside it hold, in the place of the database. The one that is there is kept beside it.
     *
     * @param from a folder with copies, or one copy
     */
    String restore(Path from) throws IOException, SQLException, Failure {
        if (!Files.exists(from)) {
            throw new Failure("%s is not there: name a folder with copies, or a copy.".formatted(from));
        }
        Files.createDirectories(data);
        if (isRunning()) {
            throw new Failure("Oblume is running on this data: stop it first, then restore.");
        }
        Path made = data.resolve("restoring" + CopyCheck.FILE);
        Restored restored = Files.isDirectory(from) ? newestThatOpens(new CopyFolder(from), made) : one(from, made);
        beginEpoch(made);
        Path file = data.resolve(DATABASE);
        String kept = "";
        if (Files.exists(file)) {
            Path before = data.resolve(
                    "oblume-before-restore-%d%s".formatted(Instant.now().toEpochMilli(), CopyCheck.FILE));
            Files.move(file, before);
            kept = " What was there before is %s.".formatted(before);
        }
        Files.move(made, file, StandardCopyOption.ATOMIC_MOVE);
        return "%s is back, with %,d rows: the copy of %s%s.%s"
                .formatted(
                        file,
                        restored.rows,
                        restored.copy,
                        restored.edits == 0 ? "" : " and %,d steps of the journal after it".formatted(restored.edits),
                        kept);
    }

    private record Restored(String copy, int edits, long rows) {}

    private static Restored one(Path zip, Path made) throws IOException, Failure {
        Files.deleteIfExists(made);
        CopyCheck.unpack(zip, made);
        try {
            return new Restored(zip.getFileName().toString(), 0, CopyCheck.rows(made));
        } catch (SQLException damaged) {
            throw new Failure("%s does not open: take another copy.".formatted(zip));
        }
    }

    private static Restored newestThatOpens(CopyFolder folder, Path made) throws IOException, Failure {
        List<Instant> copies = folder.copies();
        for (Instant copy : copies) {
            try {
                Files.deleteIfExists(made);
                CopyCheck.unpack(folder.copy(copy), made);
                int edits = 0;
                for (Instant journal : folder.journals().stream().sorted().toList()) {
                    if (!journal.isBefore(copy)) {
                        edits += FileJournal.play(folder.journal(journal), made);
                    }
                }
                return new Restored(copy.toString(), edits, CopyCheck.rows(made));
            } catch (IOException | SQLException damaged) {
                System.err.println("The copy of %s does not open (%s); the one before is tried."
                        .formatted(copy, damaged.getMessage()));
            }
        }
        throw new Failure(
                copies.isEmpty()
                        ? "There is no copy in %s.".formatted(folder.folder())
                        : "None of the %d copies in %s opens.".formatted(copies.size(), folder.folder()));
    }

    private static void beginEpoch(Path file) throws SQLException {
        try (Connection connection = CopyCheck.open(file);
                Statement sql = connection.createStatement()) {
            sql.execute(
                    "create table if not exists epoch (id varchar(36) primary key, began_at timestamp(3) with time zone not null)");
            sql.execute(
                    "insert into epoch (id, began_at) values ('%s', current_timestamp)".formatted(UUID.randomUUID()));
            sql.execute("checkpoint sync");
        }
    }

    /**
     * Gives a lead a new passphrase.
     *
     * @param name of the lead; null where there is one
     */
    String resetLead(@Nullable String name) throws IOException, SQLException, Failure {
        needData();
        if (isRunning()) {
            throw new Failure("Oblume is running on this data: stop it first, then reset the lead.");
        }
        try (Connection connection = CopyCheck.open(data.resolve(DATABASE))) {
            List<String> leads = leads(connection);
            String lead = name != null ? name : leads.size() == 1 ? leads.get(0) : null;
            if (lead == null) {
                throw new Failure(
                        leads.isEmpty()
                                ? "Nobody leads yet: start Oblume, and its first page makes the first account."
                                : "Name one of the leads, %s: ./oblume reset-lead NAME"
                                        .formatted(String.join(", ", leads)));
            }
            if (!leads.contains(lead)) {
                throw new Failure("%s does not lead. Those who do: %s.".formatted(lead, String.join(", ", leads)));
            }
            String passphrase = passphrase();
            try (PreparedStatement change =
                            connection.prepareStatement("update account set passphrase = ? where name = ?");
                    PreparedStatement end =
                            connection.prepareStatement("delete from spring_session where principal_name = ?")) {
                change.setString(1, "{bcrypt}" + new BCryptPasswordEncoder(ROUNDS).encode(passphrase));
                change.setString(2, lead);
                change.executeUpdate();
                end.setString(1, lead);
                end.executeUpdate();
            }
            return "The passphrase of %s is now %s. Sign in with it and change it; %s is signed out everywhere."
                    .formatted(lead, passphrase, lead);
        }
    }

    private static List<String> leads(Connection connection) throws SQLException {
        List<String> leads = new java.util.ArrayList<>();
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery(
                        "select name from account where role = 'LEAD' and not removed order by name")) {
            while (rows.next()) {
                leads.add(rows.getString(1));
            }
        }
        return leads;
    }

    /** Some 79 bits of chance, in four groups that can be read out. */
    private static String passphrase() {
        SecureRandom chance = new SecureRandom();
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < GROUPS * GROUP; i++) {
            text.append(i > 0 && i % GROUP == 0 ? "-" : "").append(SIGNS.charAt(chance.nextInt(SIGNS.length())));
        }
        return text.toString();
    }

    private void needData() throws Failure {
        if (!Files.exists(data.resolve(DATABASE))) {
            throw new Failure("There is no database in %s.".formatted(data));
        }
    }

    /** Whether somebody has the database open. */
    private boolean isRunning() throws IOException {
        Path file = data.resolve(DATABASE);
        if (!Files.exists(file)) {
            return false;
        }
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock()) {
            return lock == null;
        } catch (OverlappingFileLockException here) {
            return true;
        }
    }
}
