package org.oblume.server.storage;

import java.io.BufferedInputStream;
import java.io.Closeable;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.zip.CRC32C;

/**
 * What was written to a file, in order: bytes at a place, a new length, and a mark for each sync. Played upon any copy of the file that
 * was begun after the journal was, it makes the file of the last mark; a copy made while the file was written to will do, as the
 * journal writes again what changed meanwhile.
 *
 * <p>A record is its kind (one byte), place (8 bytes), length (4 bytes), the bytes, and the CRC-32C of all of that (4 bytes). What
 * comes after the last whole record was being written when the power went.
 */
public final class FileJournal implements Closeable {

    static final byte WRITE = 'W';
    static final byte LENGTH = 'L';
    static final byte MARK = 'M';
    private static final int HEAD = 1 + Long.BYTES + Integer.BYTES;
    /** No write of the database is as long. */
    private static final int LONGEST = 1 << 28;

    private final FileChannel out;

    /** @throws IOException when the place cannot be written to, or has such a file already */
    FileJournal(Path file) throws IOException {
        out = FileChannel.open(file, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
    }

    void write(long at, ByteBuffer bytes) throws IOException {
        append(WRITE, at, bytes);
    }

    void length(long length) throws IOException {
        append(LENGTH, length, ByteBuffer.allocate(0));
    }

    /** What was written so far is whole. */
    void mark() throws IOException {
        append(MARK, 0, ByteBuffer.allocate(0));
    }

    /** Returns once what was written before is on the disk of the journal. */
    void force() throws IOException {
        out.force(false);
    }

    private synchronized void append(byte kind, long at, ByteBuffer bytes) throws IOException {
        ByteBuffer whole = ByteBuffer.allocate(HEAD + bytes.remaining() + Integer.BYTES);
        whole.put(kind).putLong(at).putInt(bytes.remaining()).put(bytes.duplicate());
        CRC32C sum = new CRC32C();
        sum.update(whole.array(), 0, whole.position());
        whole.putInt((int) sum.getValue()).flip();
        while (whole.hasRemaining()) {
            out.write(whole);
        }
    }

    @Override
    public void close() throws IOException {
        out.close();
    }

    /**
     * Plays a journal upon a copy of the file.
     *
     * @return the marks that were played
     */
    public static int play(Path journal, Path upon) throws IOException {
        long upTo = lastMark(journal);
        int marks = 0;
        try (FileChannel file = FileChannel.open(upon, StandardOpenOption.WRITE);
                Records records = new Records(journal)) {
            while (records.read < upTo && records.next()) {
                switch (records.kind) {
                    case WRITE -> writeWhole(file, ByteBuffer.wrap(records.bytes), records.at);
                    case LENGTH -> cutOrGrow(file, records.at);
                    default -> marks++;
                }
            }
            file.force(true);
        }
        return marks;
    }

    private static void cutOrGrow(FileChannel file, long length) throws IOException {
        if (length < file.size()) {
            file.truncate(length);
        } else if (length > file.size()) {
            writeWhole(file, ByteBuffer.allocate(1), length - 1);
        }
    }

    private static void writeWhole(FileChannel file, ByteBuffer bytes, long at) throws IOException {
        for (long to = at; bytes.hasRemaining(); ) {
            to += file.write(bytes, to);
        }
    }

    private static long lastMark(Path journal) throws IOException {
        long last = 0;
        try (Records records = new Records(journal)) {
            while (records.next()) {
                last = records.kind == MARK ? records.read : last;
            }
        }
        return last;
    }

    /** The whole records of a journal, one after the other. */
    private static final class Records implements Closeable {

        private final DataInputStream in;
        private byte kind;
        private long at;
        private byte[] bytes = {};
        /** Bytes of whole records so far. */
        private long read;

        Records(Path journal) throws IOException {
            InputStream file = Files.newInputStream(journal);
            in = new DataInputStream(new BufferedInputStream(file, 1 << 16));
        }

        boolean next() throws IOException {
            try {
                byte[] head = in.readNBytes(HEAD);
                if (head.length < HEAD) {
                    return false;
                }
                ByteBuffer fields = ByteBuffer.wrap(head);
                kind = fields.get();
                at = fields.getLong();
                int length = fields.getInt();
                if (length < 0 || length > LONGEST) {
                    return false;
                }
                bytes = in.readNBytes(length);
                CRC32C sum = new CRC32C();
                sum.update(head);
                sum.update(bytes);
                if (bytes.length < length || in.readInt() != (int) sum.getValue()) {
                    return false;
                }
                read += HEAD + length + Integer.BYTES;
                return true;
            } catch (EOFException torn) {
                return false;
            }
        }

        @Override
        public void close() throws IOException {
            in.close();
        }
    }
}
