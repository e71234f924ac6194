package org.oblume.server.day;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.DayViews.DayFileRead;
import org.oblume.server.shot.Shot;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Days in and out as files. */
@Service
@Transactional(readOnly = true)
class DayFiles {

    private final DayService days;
    private final DayReader reader;

    DayFiles(DayService days, DayReader reader) {
        this.days = days;
        this.reader = reader;
    }

    /** The day as iCalendar. */
    byte[] calendar(long productionId, int number) {
        return DayCalendar.write(days.view(productionId, number), reader.uid(productionId, number));
    }

    /** What a calendar or a table says is shot on a day; nothing is kept by this. */
    DayFileRead fileRead(long productionId, String text) {
        List<String> lines =
                text.stripLeading().startsWith("BEGIN:VCALENDAR") ? DayCalendar.read(text) : DayTable.read(text);
        List<Shot> all = reader.shotsOf(productionId);
        List<Long> found = new ArrayList<>();
        List<String> said = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        for (String line : lines) {
            Optional<Shot> meant = all.stream()
                    .filter(s -> Arrays.asList(line.split("[^\\p{L}\\p{N}]+"))
                            .contains(s.card().slate().text()))
                    .findFirst();
            if (meant.isEmpty()) {
                unknown.add(line);
            } else if (!found.contains(meant.get().id())) {
                found.add(meant.get().id());
                said.add("%s: %s".formatted(meant.get().card().slate(), line));
            }
        }
        if (found.isEmpty()) {
            throw new Refusal("No shot of this production is named in it: events or rows begin with a slate such as %s."
                    .formatted(all.isEmpty() ? "4A" : all.get(0).card().slate()));
        }
        return new DayFileRead(found, said, unknown);
    }
}
