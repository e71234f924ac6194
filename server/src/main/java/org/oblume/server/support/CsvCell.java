package org.oblume.server.support;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Text in a cell of a table that somebody will open in a spreadsheet. */
public final class CsvCell {

    /** What makes a spreadsheet take a text for a formula (OWASP, CSV injection). */
    private static final String FORMULA = "=+-@\t\r";

    private static final Pattern FIGURE = Pattern.compile("[+-]?\\d+([.,]\\d+)?");

    private CsvCell() {}

    /** The text, as a spreadsheet shows it and computes nothing; a figure stays one. */
    public static @Nullable String of(@Nullable String text) {
        boolean harmless = text == null
                || text.isEmpty()
                || FORMULA.indexOf(text.charAt(0)) < 0
                || FIGURE.matcher(text).matches();
        return harmless ? text : "'" + text;
    }

    /** What {@link #of} was made of. */
    public static String read(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && FORMULA.indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }
}
