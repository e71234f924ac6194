package org.oblume.server.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.h2.store.fs.FilePath;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** What was acknowledged is there after a power cut: as well as that can be cut here, by a disk that loses what was not forced. */
@ResourceLock("cut disk")
class PowerCutTest {

    private static final int CUTS = 500;
    private static final int PEOPLE = 4;
    private static final int EDITS = 60;
    private static final String OPTIONS = ";WRITE_DELAY=0";

    @Test
    void nothingThatWasAcknowledgedIsLostByAnyOf500Cuts() throws Exception {
        CutFiles.begin();
        String url = "jdbc:h2:cut:memFS:/power" + OPTIONS;
        // by edit: how much had happened to the file when it was acknowledged
        Map<Integer, Integer> acknowledged = new ConcurrentHashMap<>();
        int begun;
        try (Connection own = DriverManager.getConnection(url, "oblume", "");
                Statement sql = own.createStatement()) {
            sql.execute("create table note (id int primary key, words varchar, picture varbinary)");
            sql.execute("checkpoint sync");
            begun = CutFiles.now();
            DiskSync disk = new DiskSync(() -> {
                try {
                    sql.execute("checkpoint sync");
                } catch (SQLException failed) {
                    throw new IOException(failed);
                }
            });
            ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
            List<Future<?>> working = new ArrayList<>();
            for (int p = 0; p < PEOPLE; p++) {
                int person = p;
                working.add(people.submit(() -> {
                    work(url, person, disk, acknowledged);
                    return null;
                }));
            }
            for (Future<?> one : working) {
                one.get();
            }
            people.shutdown();
        }
        assertThat(acknowledged).hasSize(PEOPLE * EDITS);

        Random chance = new Random(17);
        int end = CutFiles.now();
        long t0 = System.nanoTime(), ta = 0;
        for (int i = 0; i < CUTS; i++) {
            int cut = begun + chance.nextInt(end - begun + 1);
            long q = System.nanoTime();
            byte[] f = CutFiles.after(cut, chance);
            ta += System.nanoTime() - q;
            Set<Integer> there = notesIn(f);
            if (i % 100 == 0)
                System.err.println(
                        "T " + i + " " + f.length + " " + (System.nanoTime() - t0) / 1000000 + " " + ta / 1000000);
            Set<Integer> lost = new HashSet<>();
            new TreeMap<>(acknowledged).forEach((edit, happened) -> {
                if (happened <= cut && !there.contains(edit)) {
                    lost.add(edit);
                }
            });
            assertThat(lost)
                    .as("lost by cut %d of %d, at %d".formatted(i, CUTS, cut))
                    .isEmpty();
        }
    }

    private static void work(String url, int person, DiskSync disk, Map<Integer, Integer> acknowledged)
            throws SQLException {
        Random chance = new Random(person);
        try (Connection connection = DriverManager.getConnection(url, "oblume", "");
                PreparedStatement keep = connection.prepareStatement("insert into note values (?, ?, ?)")) {
            connection.setAutoCommit(false);
            for (int i = 0; i < EDITS; i++) {
                int id = person * EDITS + i;
                byte[] picture = new byte[chance.nextInt(10) == 0 ? 60_000 : 50];
                chance.nextBytes(picture);
                keep.setInt(1, id);
                keep.setString(2, "as it was " + id);
                keep.setBytes(3, picture);
                keep.execute();
                connection.commit();
                disk.await();
                acknowledged.put(id, CutFiles.now());
            }
        }
    }

    private static Set<Integer> notesIn(byte[] file) throws SQLException, IOException {
        FilePath path = FilePath.get("memFS:/after.mv.db");
        path.delete();
        try (OutputStream out = path.newOutputStream(false)) {
            out.write(file);
        }
        Set<Integer> ids = new HashSet<>();
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:memFS:/after;IFEXISTS=TRUE" + OPTIONS, "oblume", "");
                Statement sql = connection.createStatement()) {
            try (ResultSet rows = sql.executeQuery("select id, length(picture) from note")) {
                while (rows.next()) {
                    ids.add(rows.getInt(1));
                }
            }
            sql.execute("shutdown immediately");
        } catch (SQLException closed) {
            if (closed.getErrorCode() != org.h2.api.ErrorCode.DATABASE_IS_CLOSED) {
                throw closed;
            }
        }
        return ids;
    }
}
