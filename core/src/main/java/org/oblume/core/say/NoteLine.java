package org.oblume.core.say;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Placement;
import org.oblume.core.say.ParsedCommand.SaidNote;
import org.oblume.core.units.Refusal;

/** {@code note: blinds half shut}, <em>note on the key barn door rattles</em>: all that follows is the text, whatever is in it. */
final class NoteLine implements LineParser {

    @Override
    public List<SaidNote> read(Line line) {
        Words words = line.words();
        if (!words.take("note")) {
            return List.of();
        }
        int start = words.at();
        boolean colon = line.text()
                .substring(
                        0,
                        words.done()
                                ? line.text().length()
                                : words.all().get(start).from())
                .contains(":");
        if (!colon && words.take("on", "for", "about")) {
            List<Placement> of = line.things("A note on which one?");
            if (!of.isEmpty()) {
                return List.of(note(of.get(0).key(), line));
            }
            words.back(start);
        }
        return List.of(note(null, line));
    }

    private static SaidNote note(@Nullable String of, Line line) {
        String text = line.rest();
        if (text.isEmpty()) {
            throw new Refusal("Say what is to be noted: note: blinds half shut.");
        }
        return new SaidNote(of, text);
    }
}
