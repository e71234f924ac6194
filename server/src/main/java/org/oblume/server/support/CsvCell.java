package org.oblume.server.support;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Text in a cell of a table that somebody will open in a spreadsheet. */
public final class CsvCell {

    /** What a spreadsheet takes for a formula (OWASP, CSV injection), or would be read as one that was kept from it. */
    private static final Pattern FORMULA = Pattern.compile("'*[=+\\-@\t\r].*", Pattern.DOTALL);

    private static final Pattern FIGURE = Pattern.compile("[+-]?\\d+([.,]\\d+)?");

    private CsvCell() {}

    /** The text, as a spreadsheet shows it and computes nothing; a figure stays one. */
    public static @Nullable String of(@Nullable String text) {
        return text == null
                        || !FORMULA.matcher(text).matches()
                        || FIGURE.matcher(text).matches()
                ? text
                : "'" + text;
    }

    /** What {@link #of} was made of. */
    public static String read(String cell) {
        return cell.startsWith("'") && FORMULA.matcher(cell).matches() ? cell.substring(1) : cell;
    }
}
