package org.oblume.server.paper;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.oblume.server.note.Note;

/**
 * What was written down beside a shot.
 *
 * @param notes in the order in which they were written
 */
record NotesSaid(List<Note> notes) {

    NotesSaid {
        notes = notes.stream().sorted(Comparator.comparingLong(Note::id)).toList();
    }

    /** A paragraph each. */
    List<Sheet.Part> parts() {
        return notes.stream()
                .<Sheet.Part>map(n -> new Sheet.Say(
                        "Note%s: %s (%s)"
                                .formatted(n.placement() == null ? "" : ", " + n.placement(), text(n), n.author()),
                        false))
                .toList();
    }

    /** What is noted of a thing, in one line. */
    String of(String name) {
        return notes.stream()
                .filter(n -> name.equals(n.placement()))
                .map(NotesSaid::text)
                .collect(Collectors.joining("; "));
    }

    private static String text(Note note) {
        String picture = note.photo() == null ? "" : "photograph";
        return note.text().isBlank() ? picture : picture.isEmpty() ? note.text() : note.text() + " [" + picture + "]";
    }
}
