package org.oblume.server.storage;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.util.concurrent.atomic.AtomicReference;
import org.h2.store.fs.FileBase;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;
import org.jspecify.annotations.Nullable;

/**
 * H2's files under the scheme {@code journaled:}: each write goes to the file and, while there is one, to a journal. H2 makes the
 * objects itself, so the journal hangs at the class; one server has one database.
 */
public final class JournaledFiles extends FilePathWrapper {

    /** Told what is written; never throws, as the work goes on when a second folder is gone. */
    interface Listener {
        void wrote(long at, ByteBuffer bytes);

        void resized(long length);
    }

    private static final AtomicReference<@Nullable Listener> LISTENER = new AtomicReference<>();

    /** Makes the scheme known to H2. */
    static void register() {
        FilePath.register(new JournaledFiles());
    }

    static void listen(@Nullable Listener listener) {
        LISTENER.set(listener);
    }

    @Override
    public String getScheme() {
        return "journaled";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        FileChannel file = super.open(mode);
        return getName().endsWith(".mv.db") && !"r".equals(mode) ? new Journaled(file) : file;
    }

    private static final class Journaled extends FileBase {

        private final FileChannel file;

        Journaled(FileChannel file) {
            this.file = file;
        }

        /** One after the other, so that the journal has them in the order of the file. */
        @Override
        public synchronized int write(ByteBuffer bytes, long at) throws IOException {
            ByteBuffer told = bytes.duplicate();
            int written = file.write(bytes, at);
            told.limit(told.position() + written);
            Listener listener = LISTENER.get();
            if (listener != null) {
                listener.wrote(at, told);
            }
            return written;
        }

        @Override
        public int write(ByteBuffer bytes) throws IOException {
            long at = file.position();
            int written = write(bytes, at);
            file.position(at + written);
            return written;
        }

        @Override
        public synchronized FileChannel truncate(long length) throws IOException {
            file.truncate(length);
            Listener listener = LISTENER.get();
            if (listener != null) {
                listener.resized(file.size());
            }
            return this;
        }

        @Override
        public int read(ByteBuffer into) throws IOException {
            return file.read(into);
        }

        @Override
        @SuppressWarnings("UnsynchronizedOverridesSynchronized") // reads wait for nothing
        public int read(ByteBuffer into, long at) throws IOException {
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
        public void force(boolean metaData) throws IOException {
            file.force(metaData);
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
