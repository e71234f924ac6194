package org.oblume.core.say;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.say.ParsedCommand.SaidStage;

/** <em>We've got it</em>, {@code mark 31B as shot}, {@code 31B is lit}. */
final class StageLine implements LineParser {

    private static final Set<String> GOT_IT =
            Set.of("lock it", "we've got it", "we have got it", "got it", "we got it");

    @Override
    public List<SaidStage> read(Line line) {
        String here = line.heard().state().name();
        if (GOT_IT.contains(line.plain())) {
            return List.of(new SaidStage(here, ShotStage.SHOT));
        }
        Words words = line.words();
        boolean verb = words.take("mark", "call", "set");
        int start = words.at();
        boolean called = words.peek().matches("\\d.*|shot") || !words.takeAny("this shot", "this", "it", "the shot");
        words.back(called ? start : words.at());
        Optional<String> slate = called && stageAtEnd(words) ? line.slate() : Optional.empty();
        if (called && slate.isEmpty()) {
            return List.of();
        }
        boolean joined = words.take("as", "is");
        words.take("now");
        Optional<ShotStage> stage = Arrays.stream(ShotStage.values())
                .filter(s -> line.plain().equals(s.label()))
                .findFirst();
        return stage.isEmpty() || (!called && !verb && !joined)
                ? List.of()
                : List.of(new SaidStage(slate.orElse(here), stage.get()));
    }

    /** A number before a letter is a slate only where a stage is said of it. */
    private static boolean stageAtEnd(Words words) {
        String last = words.all().get(words.all().size() - 1).text();
        return Arrays.stream(ShotStage.values()).anyMatch(s -> s.label().equals(last));
    }
}
