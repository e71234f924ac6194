package org.oblume.server.support;

import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Tables as spreadsheets write and read them. */
public final class CsvFile {

    private CsvFile() {}

    /** The signs of a file as spreadsheets write it: UTF-8, or UTF-16 with its mark. */
    public static String text(byte[] file) {
        boolean wide = file.length > 1 && ((file[0] == -1 && file[1] == -2) || (file[0] == -2 && file[1] == -1));
        String text = new String(file, wide ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
        return text.startsWith("\ufeff") ? text.substring(1) : text;
    }

    /** What stands between the cells: where a comma stands in figures, spreadsheets take a semicolon. */
    public static char between(String text) {
        String head = text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
        return ";\t,"
                .chars()
                .mapToObj(c -> (char) c)
                .max(Comparator.comparing(
                        c -> head.chars().filter(sign -> sign == c).count()))
                .orElse(',');
    }

    /** A table to be kept by whoever asks for it. */
    public static ResponseEntity<String> answer(String name, String csv) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(csv);
    }
}
