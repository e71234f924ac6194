package org.oblume.server.say;

import org.jspecify.annotations.Nullable;
import org.oblume.core.say.CommandParser;
import org.oblume.core.say.ParsedCommand;
import org.oblume.server.kit.KitService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
class SayService {

    private final StoredScenes records;
    private final KitService kit;

    SayService(StoredScenes records, KitService kit) {
        this.records = records;
        this.kit = kit;
    }

    /** What is understood of a line; no more than that. */
    @Transactional(readOnly = true)
    ParsedCommand read(long shotId, String line, @Nullable String about) {
        RecordedShot shot = records.shot(shotId);
        return CommandParser.read(
                line,
                new CommandParser.Heard(
                        shot.record(),
                        shot.state(),
                        kit.stock(),
                        kit.fixtures().stream()
                                .map(f -> new CommandParser.Kind(f.kind(), f.piece()))
                                .toList(),
                        about));
    }
}
