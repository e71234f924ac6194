package org.oblume.server.storage;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.h2.store.fs.FileBase;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A disk whose power can be cut: H2's files under {@code cut:}. It remembers each write and each force, and makes what the file may be
 * after a cut: all that a force was begun for that ended, and of what came later any part: left out, torn, the end missing.
 */
public final class CutFiles extends FilePathWrapper {

    /** What happened to the file; a force names how much had happened when it began. */
    private record Event(Kind kind, long at, byte[] bytes) {}

    private enum Kind {
        WRITE,
        LENGTH,
        FORCED
    }

    private static volatile boolean full;
    private static final List<Event> EVENTS = new ArrayList<>();

    static void begin() {
        FilePath.register(new CutFiles());
        synchronized (EVENTS) {
            EVENTS.clear();
        }
    }

    /** Whether there is no room for another octet. */
    static void fill(boolean isFull) {
        full = isFull;
    }

    /** How much has happened. */
    static int now() {
        synchronized (EVENTS) {
            return EVENTS.size();
        }
    }

    private static void happened(Kind kind, long at, byte[] bytes) {
        synchronized (EVENTS) {
            EVENTS.add(new Event(kind, at, bytes));
        }
    }

    /** The file after a cut when so much had happened. */
    static byte[] after(int cut, Random chance) {
        List<Event> before;
        synchronized (EVENTS) {
            before = List.copyOf(EVENTS.subList(0, cut));
        }
        int safe = before.stream()
                .filter(e -> e.kind == Kind.FORCED)
                .mapToInt(e -> (int) e.at)
                .max()
                .orElse(0);
        long most = before.stream().mapToLong(e -> e.at + e.bytes.length).max().orElse(0);
        byte[] file = new byte[(int) most];
        int size = 0;
        for (int i = 0; i < before.size(); i++) {
            Event e = before.get(i);
            double luck = i < safe ? 1 : chance.nextDouble();
            if (e.kind == Kind.FORCED || luck < 0.35) {
                continue;
            }
            if (e.kind == Kind.LENGTH) {
                Arrays.fill(file, (int) Math.min(size, e.at), size, (byte) 0);
                size = (int) e.at;
                continue;
            }
            int length = luck < 0.6 ? chance.nextInt(e.bytes.length + 1) : e.bytes.length;
            System.arraycopy(e.bytes, 0, file, (int) e.at, length);
            size = Math.max(size, (int) e.at + length);
        }
        return Arrays.copyOf(file, size);
    }

    @Override
    public String getScheme() {
        return "cut";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        FileChannel file = super.open(mode);
        return getName().endsWith(".mv.db") ? new Remembering(file) : file;
    }

    private static final class Remembering extends FileBase {

        private final FileChannel file;

        Remembering(FileChannel file) {
            this.file = file;
        }

        @Override
        public synchronized int write(ByteBuffer from, long at) throws IOException {
            if (full) {
                throw new IOException("No space left on device");
            }
            byte[] bytes = new byte[from.remaining()];
            from.duplicate().get(bytes);
            int written = file.write(from, at);
            happened(Kind.WRITE, at, Arrays.copyOf(bytes, written));
            return written;
        }

        @Override
        public int write(ByteBuffer from) throws IOException {
            long at = file.position();
            int written = write(from, at);
            file.position(at + written);
            return written;
        }

        @Override
        public synchronized FileChannel truncate(long length) throws IOException {
            file.truncate(length);
            happened(Kind.LENGTH, file.size(), new byte[0]);
            return this;
        }

        @Override
        public void force(boolean metaData) throws IOException {
            int begun = now();
            file.force(metaData);
            happened(Kind.FORCED, begun, new byte[0]);
        }

        @Override
        public int read(ByteBuffer into) throws IOException {
            return file.read(into);
        }

        @Override
        public synchronized int read(ByteBuffer into, long at) throws IOException {
            return file.read(into, at);
        }

        @Override
        public long position() throws IOException {
            return file.position();
        }

        @Override
        public FileChannel position(long at) throws IOException {
            file.position(at);
            return this;
        }

        @Override
        public long size() throws IOException {
            return file.size();
        }

        @Override
        public FileLock tryLock(long from, long length, boolean shared) throws IOException {
            return file.tryLock(from, length, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            file.close();
        }
    }
}
