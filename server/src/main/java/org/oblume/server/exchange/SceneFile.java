package org.oblume.server.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Placement;
import org.oblume.core.power.PowerPlan;
import org.oblume.server.carry.SavedLook;
import org.oblume.server.day.WrittenPlan;
import org.oblume.server.metering.WrittenReading;
import org.oblume.server.monitor.MonitorCurve;
import org.oblume.server.note.WrittenNote;
import org.oblume.server.note.WrittenTake;
import org.oblume.server.rebuild.Tick;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.set.StageSet;
import org.oblume.server.shot.WrittenConfirmation;

/** A scene as an open file: docs/format/oblume-scene.schema.json. */
record SceneFile(
        String format,
        int version,
        InProduction production,
        SceneHeading scene,
        StageSet set,
        List<Placement> placements,
        @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable PowerPlan power,
        @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable MonitorCurve monitor,
        List<ShotPart> shots,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) @Nullable List<SavedLook> looks) {

    static final String FORMAT = "oblume-scene";
    /** The newest that is read. */
    static final int VERSION = FormatVersion.NINTH;

    SceneFile at(int other) {
        return new SceneFile(format, other, production, scene, set, placements, power, monitor, shots, looks);
    }

    record InProduction(String name, int days) {}

    record ShotPart(
            Slate slate,
            String description,
            @Nullable Integer day,
            @Nullable Slate basedOn,
            ShotStage stage,
            List<KnotPart> knots,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) @Nullable List<Tick> rebuilt,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) @Nullable List<WrittenTake> takes,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) @Nullable List<WrittenNote> notes,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) @Nullable List<WrittenReading> readings,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) @Nullable List<WrittenConfirmation> looked,
            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable WrittenPlan plan) {}

    record KnotPart(
            String placement,
            Attribute attribute,
            JsonNode value,
            @Nullable Reason reason,
            @Nullable String note,
            String author,
            Instant at) {}
}
