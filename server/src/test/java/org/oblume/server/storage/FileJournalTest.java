package org.oblume.server.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FileJournalTest {

    @TempDir
    Path folder;

    @Test
    void playedUponACopyMadeMeanwhileItMakesTheFileOfItsLastMark() throws IOException {
        Random chance = new Random(4);
        byte[] file = new byte[5000];
        chance.nextBytes(file);
        Path copy = folder.resolve("copy");
        Path journal = folder.resolve("journal");
        byte[] marked = {};
        try (FileJournal kept = new FileJournal(journal)) {
            for (int i = 0; i < 60; i++) {
                int at = chance.nextInt(4000);
                byte[] bytes = new byte[chance.nextInt(900)];
                chance.nextBytes(bytes);
                System.arraycopy(bytes, 0, file, at, bytes.length);
                kept.write(at, ByteBuffer.wrap(bytes));
                if (i == 30) {
                    // as a copy is that was read while the file was written to
                    Files.write(copy, file);
                }
                if (i == 50) {
                    kept.mark();
                    marked = file.clone();
                }
            }
        }
        assertThat(FileJournal.play(journal, copy)).isEqualTo(1);
        assertThat(Files.readAllBytes(copy)).isEqualTo(marked);
    }

    @Test
    void theFileIsAsLongAsItWas() throws IOException {
        Path copy = Files.write(folder.resolve("copy"), new byte[100]);
        Path journal = folder.resolve("journal");
        try (FileJournal kept = new FileJournal(journal)) {
            kept.length(40);
            kept.write(60, ByteBuffer.wrap(new byte[] {1, 2}));
            kept.mark();
        }
        FileJournal.play(journal, copy);
        assertThat(Files.size(copy)).isEqualTo(62);
    }

    @Test
    void whatWasBeingWrittenWhenThePowerWentIsLeftOut() throws IOException {
        Path journal = folder.resolve("journal");
        try (FileJournal kept = new FileJournal(journal)) {
            kept.write(0, ByteBuffer.wrap(new byte[] {1, 1, 1, 1}));
            kept.mark();
            kept.write(0, ByteBuffer.wrap(new byte[] {2, 2, 2, 2}));
            kept.mark();
        }
        byte[] whole = Files.readAllBytes(journal);
        int half = whole.length / 2;
        for (int length = half; length <= whole.length; length++) {
            Path torn = Files.write(folder.resolve("torn" + length), java.util.Arrays.copyOf(whole, length));
            Path copy = Files.write(folder.resolve("copy" + length), new byte[4]);
            FileJournal.play(torn, copy);
            assertThat(Files.readAllBytes(copy)).containsOnly(length == whole.length ? 2 : 1);
        }
        whole[half + 15] ^= 1;
        Path copy = Files.write(folder.resolve("copy"), new byte[4]);
        FileJournal.play(Files.write(folder.resolve("damaged"), whole), copy);
        assertThat(Files.readAllBytes(copy)).containsOnly(1);
    }
}
