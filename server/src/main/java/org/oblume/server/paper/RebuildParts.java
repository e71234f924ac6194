package org.oblume.server.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Modifiers;
import org.oblume.server.rebuild.RebuildView;
import org.oblume.server.shot.PlacedView;

/** What a rebuild sheet says of its steps: as tasks on paper, and as rows for a spreadsheet. */
final class RebuildParts {

    private RebuildParts() {}

    static Sheet.Table table(List<RebuildView.Step> steps, NotesSaid notes, Papers.For reader) {
        return new Sheet.Table(
                "",
                List.of(
                        Papers.figures("Step", 0.5),
                        Papers.column("Name", 1),
                        Papers.column("What", 2),
                        Papers.column("A from", 1),
                        Papers.figures("A", 0.7),
                        Papers.column("B from", 1),
                        Papers.figures("B", 0.7),
                        Papers.column("Side", 0.6),
                        Papers.figures("Height", 0.8),
                        Papers.column("Aim", 1.5),
                        Papers.figures("Beam", 0.6),
                        Papers.column("Through", 2),
                        Papers.column("Settings", 2),
                        Papers.column("Notes", 2),
                        Papers.column("Done by", 1)),
                IntStream.range(0, steps.size())
                        .mapToObj(i -> row(i + 1, steps.get(i), notes, reader))
                        .toList());
    }

    static Sheet.Task step(int number, RebuildView.Step step, Papers.For reader) {
        PlacedView placed = step.placed();
        List<String> lines = new ArrayList<>();
        PlacedView.Tapes tapes = placed.tapes();
        String height = reader.say(placed, Attribute.HEIGHT);
        if (placed.placement().kind().isThing()) {
            lines.add(
                    tapes == null
                            ? "Place: %s. Height %s.".formatted(reader.say(placed, Attribute.PLACE), height)
                            : "A %s from %s. B %s from %s. On the %s, walking A to B. Height %s."
                                    .formatted(
                                            reader.say(tapes.a().length()),
                                            tapes.a().landmark(),
                                            reader.say(tapes.b().length()),
                                            tapes.b().landmark(),
                                            tapes.side().name().toLowerCase(Locale.ROOT),
                                            height));
        }
        if (placed.measured() != null && (tapes == null || !tapes.own())) {
            lines.add("As it was measured: %s.".formatted(reader.say(placed.measured())));
        }
        if (step.third() != null) {
            lines.add("Check: C %s from %s."
                    .formatted(reader.say(step.third().length()), step.third().landmark()));
        }
        String aim = ShotParts.aim(placed);
        if (!aim.isEmpty()) {
            lines.add("Aim %s.%s"
                    .formatted(
                            aim,
                            reader.say(placed, Attribute.BEAM).isEmpty()
                                    ? ""
                                    : " Beam %s.".formatted(reader.say(placed, Attribute.BEAM))));
        }
        if (!reader.say(placed, Attribute.MODIFIERS).isEmpty()
                && !reader.say(placed, Attribute.MODIFIERS).equals(Modifiers.NONE.say())) {
            lines.add("Through, from the lamp on: %s.".formatted(reader.say(placed, Attribute.MODIFIERS)));
        }
        String settings = ShotParts.settings(placed, reader);
        if (!settings.isEmpty()) {
            lines.add(settings + ".");
        }
        if (step.instead() != null) {
            lines.add("Not as recorded: %s. %s (%s)."
                    .formatted(
                            Stream.concat(
                                            Stream.ofNullable(step.instead().piece()),
                                            step.instead().values().stream()
                                                    .map(v -> "%s %s".formatted(v.label(), reader.say(v.now()))))
                                    .collect(Collectors.joining(", ")),
                            step.instead().why(),
                            step.instead().author()));
        }
        lines.addAll(step.cautions());
        String watts = placed.placement().piece().watts() > 0
                ? ", %d W".formatted(Math.round(placed.placement().piece().watts()))
                : "";
        return new Sheet.Task(
                number,
                placed.placement().name(),
                ShotParts.what(placed) + watts,
                lines,
                step.done() != null && !step.done().changedSince());
    }

    private static List<String> row(int number, RebuildView.Step step, NotesSaid notes, Papers.For reader) {
        PlacedView placed = step.placed();
        PlacedView.Tapes tapes = placed.tapes();
        return List.of(
                String.valueOf(number),
                placed.placement().name(),
                ShotParts.what(placed),
                tapes == null ? "" : tapes.a().landmark(),
                tapes == null ? "" : reader.say(tapes.a().length()),
                tapes == null ? "" : tapes.b().landmark(),
                tapes == null ? "" : reader.say(tapes.b().length()),
                tapes == null ? "" : tapes.side().name().toLowerCase(Locale.ROOT),
                reader.say(placed, Attribute.HEIGHT),
                ShotParts.aim(placed),
                reader.say(placed, Attribute.BEAM),
                reader.say(placed, Attribute.MODIFIERS),
                ShotParts.settings(placed, reader),
                notes.of(placed.placement().name()),
                step.done() == null ? "" : step.done().author());
    }
}
