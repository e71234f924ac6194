package org.oblume.server.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.core.units.Phrase;
import org.oblume.server.archive.ArchiveColumns.KeptAs;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;
import org.oblume.server.archive.MergeQuestion.Side;
import org.oblume.server.support.RecordJson;

/** Says what both sides changed as the crew calls it. */
final class QuestionWords {

    private static final Set<String> WHO =
            Set.of("author", "signedBy", "shotBy", "litBy", "wrappedBy", "deletedBy", "madeBy");
    private static final Set<String> WHEN = Set.of(
            "changedAt",
            "madeAt",
            "tickedAt",
            "saidAt",
            "countedAt",
            "signedAt",
            "shotAt",
            "litAt",
            "wrappedAt",
            "deletedAt");
    private static final List<String> CALLED =
            List.of("name", "slate", "number", "tagKey", "what", "moveKey", "aspect", "text", "unit");
    /** Where a crew calls a field otherwise than the record does. */
    private static final Map<String, String> CREWS_WORDS = Map.ofEntries(
            Map.entry("basedOn", "shot that it carries from"),
            Map.entry("buildOrder", "order in which the light is built"),
            Map.entry("closedAt", "closed"),
            Map.entry("groupName", "group"),
            Map.entry("heldValues", "values"),
            Map.entry("lamp", "unit"),
            Map.entry("shootingDay", "day"),
            Map.entry("underlay", "plan picture"),
            Map.entry("xM", "from the left"),
            Map.entry("yM", "from the near wall"));

    private static final Pattern IN_METRES = Pattern.compile("([a-z])M$");
    private static final int LONGEST = 160;
    private static final String WHOLE = "The production";

    private final RecordRows here;
    private final RecordRows there;
    private final RecordJson json;

    QuestionWords(RecordRows here, RecordRows there, RecordJson json) {
        this.here = here;
        this.there = there;
        this.json = json;
    }

    /**
     * @param columns that differ, or all of the row where one side has none
     * @param mine the row here, or null
     * @param theirs the row of the archive, or null
     * @param was the row as both had it, or null
     */
    MergeQuestion ask(
            String id,
            ArchiveTable table,
            List<KeptColumn> columns,
            @Nullable ObjectNode mine,
            @Nullable ObjectNode theirs,
            @Nullable ObjectNode was) {
        ObjectNode any = Objects.requireNonNull(mine == null ? theirs : mine);
        Instant mineAt = at(mine);
        Instant theirsAt = at(theirs);
        Side later = mineAt == null || theirsAt == null || mineAt.equals(theirsAt)
                ? null
                : theirsAt.isAfter(mineAt) ? Side.THERE : Side.HERE;
        Phrase[] said = said(table, columns, mine, theirs, was);
        return new MergeQuestion(
                id,
                where(table, any),
                what(table, columns, any),
                said[0],
                said[1],
                said[2],
                by(mine),
                mineAt,
                by(theirs),
                theirsAt,
                later);
    }

    private static @Nullable String by(@Nullable ObjectNode row) {
        return WHO.stream()
                .map(p -> ArchiveJson.text(row, p))
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }

    private static @Nullable Instant at(@Nullable ObjectNode row) {
        return WHEN.stream()
                .map(p -> ArchiveJson.text(row, p))
                .filter(Objects::nonNull)
                .map(Instant::parse)
                .max(Instant::compareTo)
                .orElse(null);
    }

    private @Nullable ObjectNode row(String table, @Nullable String uid) {
        ObjectNode mine = here.row(table, uid);
        return mine == null ? there.row(table, uid) : mine;
    }

    /** What a row is part of, without itself. */
    String within(ArchiveTable table, ObjectNode row) {
        String owner = table.owners().isEmpty()
                ? ""
                : ArchiveColumns.property(table.owners().get(0));
        ObjectNode scene = owner.equals("scene") ? row("scene", ArchiveJson.text(row, owner)) : null;
        return table.name().equals("scene") || scene != null
                ? scene == null ? WHOLE : "Sc. " + ArchiveJson.text(scene, "number")
                : where(table, row);
    }

    /** {@code Sc. 4, 4D}. */
    String where(ArchiveTable table, ObjectNode row) {
        List<String> parts = new ArrayList<>();
        ObjectNode shot = table.name().equals("shot") ? row : row("shot", ArchiveJson.text(row, "shot"));
        ObjectNode run = row("rebuild_run", ArchiveJson.text(row, "run"));
        shot = shot == null && run != null ? row("shot", ArchiveJson.text(run, "shot")) : shot;
        ObjectNode note = row("note", ArchiveJson.text(row, "note"));
        shot = shot == null && note != null ? row("shot", ArchiveJson.text(note, "shot")) : shot;
        ObjectNode scene =
                table.name().equals("scene") ? row : row("scene", ArchiveJson.text(shot == null ? row : shot, "scene"));
        ObjectNode set = row("stage_set", ArchiveJson.text(row, "set"));
        if (scene != null) {
            parts.add("Sc. " + ArchiveJson.text(scene, "number"));
        }
        if (shot != null) {
            parts.add(ArchiveJson.required(shot, "slate"));
        }
        if (parts.isEmpty()) {
            parts.add(set == null ? WHOLE : ArchiveJson.required(set, "name"));
        }
        return String.join(", ", parts);
    }

    private String what(ArchiveTable table, List<KeptColumn> columns, ObjectNode row) {
        ObjectNode thing = row("placement", ArchiveJson.text(row, "placement"));
        if (table.name().equals("knot")) {
            return (thing == null ? "" : ArchiveJson.text(thing, "name") + ": ")
                    + Attribute.valueOf(ArchiveJson.required(row, "attribute")).label();
        }
        String called = CALLED.stream()
                .map(p -> row.hasNonNull(p) && row.get(p).isValueNode()
                        ? row.get(p).asText()
                        : null)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(thing == null ? "" : ArchiveJson.text(thing, "name"));
        String parts = columns.stream()
                .filter(c -> !WHO.contains(c.property()) && !WHEN.contains(c.property()))
                .map(c -> words(c.property()))
                .collect(Collectors.joining(", "));
        return Stream.of(table.said(), called, parts)
                .filter(p -> p != null && !p.isEmpty())
                .collect(Collectors.joining(": "));
    }

    /** {@code shootingDay} is “day”, {@code widthM} “width”. */
    private static String words(String property) {
        String plain = IN_METRES.matcher(property).replaceFirst("$1");
        return CREWS_WORDS.getOrDefault(
                property, plain.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT));
    }

    private @Nullable Phrase[] said(
            ArchiveTable table,
            List<KeptColumn> columns,
            @Nullable ObjectNode mine,
            @Nullable ObjectNode theirs,
            @Nullable ObjectNode was) {
        if (table.name().equals("knot")) {
            return new @Nullable Phrase[] {value(mine), value(theirs), was == null ? null : value(was)};
        }
        return new @Nullable Phrase[] {
            mine == null ? null : plain(columns, mine, theirs),
            theirs == null ? null : plain(columns, theirs, mine),
            was == null ? null : plain(columns, was, mine == null ? theirs : mine)
        };
    }

    private @Nullable Phrase value(@Nullable ObjectNode row) {
        if (row == null) {
            return null;
        }
        return row.hasNonNull("heldValue")
                ? json.value(Attribute.valueOf(ArchiveJson.required(row, "attribute")), row.get("heldValue"))
                        .phrase()
                : Phrase.of("carried from the shot before");
    }

    /** What a row says in these columns; of JSON only what is another on the other side. */
    private Phrase plain(List<KeptColumn> columns, ObjectNode row, @Nullable ObjectNode other) {
        String all = columns.stream()
                .filter(c -> c.keptAs() != KeptAs.UID && row.hasNonNull(c.property()))
                .filter(c -> !WHO.contains(c.property()) && !WHEN.contains(c.property()))
                .map(c -> c.keptAs() == KeptAs.ROW
                        ? called(c, row.get(c.property()).asText())
                        : differing(row.get(c.property()), other == null ? null : other.get(c.property())))
                .filter(s -> !s.isEmpty())
                .collect(Collectors.joining(", "));
        return Phrase.of(
                all.isEmpty() ? "nothing" : all.length() > LONGEST ? all.substring(0, LONGEST - 1) + "…" : all);
    }

    private String called(KeptColumn column, String uid) {
        ObjectNode row = row(Objects.requireNonNull(column.rowOf()), uid);
        return CALLED.stream()
                .map(p -> ArchiveJson.text(row, p))
                .filter(Objects::nonNull)
                .findFirst()
                .orElse("");
    }

    private static String differing(JsonNode value, @Nullable JsonNode other) {
        if (value.isValueNode()) {
            return value.asText();
        }
        if (!value.isObject() || other == null || !other.isObject()) {
            return value.isArray() ? value.size() + " entries" : value.toString();
        }
        TreeSet<String> names = new TreeSet<>();
        value.fieldNames().forEachRemaining(names::add);
        return names.stream()
                .filter(name -> !ArchiveJson.same(value.get(name), other.get(name)))
                .map(name -> words(name) + " " + entry(name, value.get(name)))
                .collect(Collectors.joining(", "));
    }

    private static String entry(String name, JsonNode value) {
        if (!value.isValueNode()) {
            return value.size() + " entries";
        }
        return value.isNumber() && IN_METRES.matcher(name).find() ? value.asText() + " m" : value.asText();
    }
}
