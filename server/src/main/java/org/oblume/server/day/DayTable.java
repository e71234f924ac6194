package org.oblume.server.day;

import java.util.List;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.CsvFile;

/** A day as a table: a row a shot, in their order, with a slate in one of its cells. */
final class DayTable {

    private static final int MOST_ROWS = 500;

    private DayTable() {}

    /**
     * Its rows, a line each.
     *
     * @throws Refusal when it is longer than a day can be
     */
    static List<String> read(String text) {
        String between = String.valueOf(CsvFile.between(text));
        List<String> rows = text.lines()
                .map(row -> row.replace(between, " ").replace("\"", "").strip())
                .filter(row -> !row.isEmpty())
                .toList();
        if (rows.size() > MOST_ROWS) {
            throw new Refusal("This table has %d rows: a day has %d at most.".formatted(rows.size(), MOST_ROWS));
        }
        return rows;
    }
}
