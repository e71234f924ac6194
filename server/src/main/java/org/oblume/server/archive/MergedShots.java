package org.oblume.server.archive;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.KeptAsShot;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Attribute;
import org.oblume.server.support.RecordJson;

/** What a merge itself has to record: values that stay as they are here, and what was shot as it was shot. */
final class MergedShots {

    private final RecordJson json;
    private final String author;
    private final Instant at;
    private final String other;
    private final List<ObjectNode> edits = new ArrayList<>();
    private final List<ObjectNode> changes = new ArrayList<>();
    private final List<ObjectNode> knots = new ArrayList<>();
    private final List<String> told = new ArrayList<>();

    /** @param other whose archive it is */
    MergedShots(RecordJson json, String author, Instant at, String other) {
        this.json = json;
        this.author = author;
        this.at = at;
        this.other = other;
    }

    List<ObjectNode> edits() {
        return edits;
    }

    List<ObjectNode> changes() {
        return changes;
    }

    /** Values to tie, each in the place of what is tied there. */
    List<ObjectNode> knots() {
        return knots;
    }

    List<String> told() {
        return told;
    }

    /** The newest change says what holds. */
    void settle(ObjectNode knot) {
        record(knot, "Merged with what %s brought: it stays as it was here".formatted(other), null);
    }

    /** @param sides the records that became one, as they were; all name rows alike */
    void keepWhatWasShot(RecordRows merged, List<RecordRows> sides) {
        Map<String, Slate> slates = new HashMap<>();
        merged.all("shot")
                .forEach(s -> slates.put(ArchiveJson.required(s, "uid"), new Slate(ArchiveJson.required(s, "slate"))));
        Attribution tie = new Attribution(Reason.MATCH, null, author, at, 1);
        for (ObjectNode scene : merged.all("scene")) {
            String uid = ArchiveJson.required(scene, "uid");
            CarryBook now = book(merged, uid, slates);
            for (RecordRows side : sides) {
                if (side.row("scene", uid) != null) {
                    KeptAsShot kept = KeptAsShot.of(book(side, uid, slates), now, tie);
                    kept.knots().forEach(knot -> tie(merged, uid, slates, knot));
                    kept.unsaid()
                            .forEach(knot -> told.add("%s: %s of %s was not recorded when it was shot; it is %s now."
                                    .formatted(
                                            knot.slate(),
                                            knot.attribute().label(),
                                            ArchiveJson.required(thing(merged, uid, knot.placement()), "name"),
                                            knot.value().say())));
                    now = now.with(kept.knots());
                }
            }
        }
    }

    private void tie(RecordRows merged, String scene, Map<String, Slate> slates, Knot knot) {
        ObjectNode row = ArchiveJson.MAPPER.createObjectNode();
        row.put("uid", UUID.randomUUID().toString());
        row.put(
                "shot",
                merged.all("shot").stream()
                        .filter(s -> s.path("scene").asText().equals(scene))
                        .map(s -> ArchiveJson.required(s, "uid"))
                        .filter(s -> knot.slate().equals(slates.get(s)))
                        .findFirst()
                        .orElseThrow());
        ObjectNode thing = thing(merged, scene, knot.placement());
        row.put("placement", ArchiveJson.required(thing, "uid"));
        row.put("attribute", knot.attribute().name());
        row.set("heldValue", ArchiveJson.parsed(json.write(knot.value())));
        row.put("reason", Reason.MATCH.name());
        row.put("author", author);
        row.put("changedAt", at.toString());
        knots.add(row);
        record(row, "Merged with what %s brought: it stays as it was shot".formatted(other), Reason.MATCH);
        told.add("%s keeps its %s of %s as it was shot: %s."
                .formatted(
                        knot.slate(),
                        knot.attribute().label(),
                        ArchiveJson.required(thing, "name"),
                        knot.value().say()));
    }

    private static ObjectNode thing(RecordRows merged, String scene, String key) {
        return merged.all("placement").stream()
                .filter(p -> p.path("scene").asText().equals(scene)
                        && p.path("placementKey").asText().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private void record(ObjectNode knot, String label, @Nullable Reason reason) {
        String edit = UUID.randomUUID().toString();
        edits.add(ArchiveJson.MAPPER
                .createObjectNode()
                .put("uid", edit)
                .put("shot", ArchiveJson.required(knot, "shot"))
                .put("author", author)
                .put("madeAt", at.toString())
                .put("label", label)
                .put("kind", "IMPORT")
                .put("takenBack", false));
        ObjectNode change = ArchiveJson.MAPPER
                .createObjectNode()
                .put("uid", UUID.randomUUID().toString())
                .put("shot", ArchiveJson.required(knot, "shot"))
                .put("placement", ArchiveJson.required(knot, "placement"))
                .put("attribute", ArchiveJson.required(knot, "attribute"))
                .put("author", author)
                .put("changedAt", at.toString())
                .put("edit", edit);
        if (knot.hasNonNull("heldValue")) {
            change.set("heldValue", knot.get("heldValue"));
        }
        if (reason != null) {
            change.put("reason", reason.name());
        } else if (knot.hasNonNull("reason")) {
            change.set("reason", knot.get("reason"));
        }
        changes.add(change);
    }

    private CarryBook book(RecordRows rows, String scene, Map<String, Slate> slates) {
        Map<String, String> keys = new HashMap<>();
        rows.all("placement")
                .forEach(p -> keys.put(ArchiveJson.required(p, "uid"), ArchiveJson.required(p, "placementKey")));
        List<ShotNode> shots = rows.all("shot").stream()
                .filter(s -> s.path("scene").asText().equals(scene))
                .filter(s -> slates.containsKey(ArchiveJson.required(s, "uid")))
                .map(s -> new ShotNode(
                        Objects.requireNonNull(slates.get(ArchiveJson.required(s, "uid"))),
                        slates.get(s.path("basedOn").asText()),
                        ShotStage.valueOf(ArchiveJson.required(s, "stage"))))
                .toList();
        List<Slate> ofTheScene = shots.stream().map(ShotNode::slate).toList();
        List<Knot> tied = new ArrayList<>();
        for (ObjectNode row : rows.all("knot")) {
            @Nullable ObjectNode shot = rows.row("shot", ArchiveJson.text(row, "shot"));
            if (row.hasNonNull("heldValue")
                    && shot != null
                    && shot.path("scene").asText().equals(scene)) {
                Slate slate = slates.get(ArchiveJson.required(shot, "uid"));
                String key = keys.get(ArchiveJson.required(row, "placement"));
                if (slate != null && key != null && ofTheScene.contains(slate)) {
                    Attribute attribute = Attribute.valueOf(ArchiveJson.required(row, "attribute"));
                    tied.add(new Knot(
                            slate,
                            key,
                            json.value(attribute, row.get("heldValue")),
                            new Attribution(null, null, author, at, 1)));
                }
            }
        }
        return CarryBook.of(shots, tied);
    }
}
