package org.oblume.server.paper;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.oblume.server.shot.PlacedView;

/** What a sheet says of the record that it is printed from: how much of it could be rebuilt, and what would have to be guessed. */
final class RecordGaps {

    private RecordGaps() {}

    static List<Sheet.Part> of(List<PlacedView> placed, Papers.For reader) {
        List<PlacedView> standing = placed.stream().filter(PlacedView::toBuild).toList();
        List<PlacedView> guessed = standing.stream()
                .filter(p -> p.findings().stream().anyMatch(PlacedView.FindingView::guess))
                .toList();
        List<Sheet.Part> parts = new ArrayList<>();
        if (!standing.isEmpty()) {
            parts.add(new Sheet.Say(
                    "%d of %d could be rebuilt by someone who never saw this set."
                            .formatted(standing.size() - guessed.size(), standing.size()),
                    true));
        }
        if (!guessed.isEmpty()) {
            Map<String, List<String>> alike = guessed.stream()
                    .collect(Collectors.groupingBy(
                            p -> sentences(p, reader),
                            LinkedHashMap::new,
                            Collectors.mapping(p -> p.placement().name(), Collectors.toList())));
            parts.add(new Sheet.Say(
                    "Would have to be guessed: "
                            + alike.entrySet().stream()
                                    .map(e -> "%s: %s".formatted(String.join(", ", e.getValue()), e.getKey()))
                                    .collect(Collectors.joining(" ")),
                    false));
        }
        return parts;
    }

    private static String sentences(PlacedView placed, Papers.For reader) {
        return placed.findings().stream()
                .filter(PlacedView.FindingView::guess)
                .map(f -> reader.say(f.sentence()))
                .collect(Collectors.joining(" "));
    }
}
