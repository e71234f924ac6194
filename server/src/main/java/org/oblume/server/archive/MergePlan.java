package org.oblume.server.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.oblume.server.archive.ArchiveColumns.Columns;
import org.oblume.server.archive.ArchiveColumns.KeptAs;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;
import org.oblume.server.archive.MergeQuestion.Side;

/**
 * What has to be done so that a record has all that an archive of the same production has. Rows are the same by their uid, or by what
 * they are of; a value that only one side changed since both were one is that side's; what both changed is asked. Nothing is read or
 * written here.
 */
final class MergePlan {

    /** What is done with a row. */
    enum Act {
        ADD,
        CHANGE,
        TAKE_OUT
    }

    /**
     * @param row as it shall be, naming rows as this record does
     * @param identity by which the row is told here
     * @param columns that are changed
     */
    record MergeStep(Act act, ArchiveTable table, ObjectNode row, String identity, List<KeptColumn> columns) {}

    private final RecordRows here;
    private final RecordRows there;
    private final @Nullable RecordRows before;
    private final Map<String, Side> answers;
    private final ArchiveColumns columns;
    private final QuestionWords words;

    private final List<MergeStep> steps = new ArrayList<>();
    private final List<MergeQuestion> questions = new ArrayList<>();
    private final List<String> renamed = new ArrayList<>();
    private final List<ObjectNode> settled = new ArrayList<>();
    private final Map<String, Map<String, ObjectNode>> byKey = new HashMap<>();
    private final TranslatedRows translated;
    private final OwnNames names;
    private final Set<String> changedHere;
    private final Set<String> changedThere;
    private final Set<String> newsHere;
    private final Set<String> newsThere;

    /**
     * @param here this record, empty when it is not here yet
     * @param there the archive's
     * @param before what both were once, or null where that is not known
     * @param answers by question
     */
    MergePlan(
            RecordRows here,
            RecordRows there,
            @Nullable RecordRows before,
            Map<String, Side> answers,
            ArchiveColumns columns,
            QuestionWords words) {
        this.here = here;
        this.there = there;
        this.before = before;
        this.answers = answers;
        this.columns = columns;
        this.words = words;
        this.translated = new TranslatedRows(columns);
        this.names = new OwnNames(here);
        this.changedHere = here.changes().entrySet().stream()
                .filter(e -> !there.changes().containsKey(e.getKey()))
                .map(Map.Entry::getValue)
                .collect(Collectors.toSet());
        this.changedThere = there.changes().entrySet().stream()
                .filter(e -> !here.changes().containsKey(e.getKey()))
                .map(Map.Entry::getValue)
                .collect(Collectors.toSet());
        this.newsHere = before == null ? Set.of() : here.withNews(before);
        this.newsThere = before == null ? Set.of() : there.withNews(before);
        for (ArchiveTable table : ArchiveTables.ALL) {
            if (!table.name().equals(RecordRows.CHANGES)) {
                there.rows(table).forEach((id, row) -> row(table, id, row));
            }
        }
        if (before != null) {
            ArchiveTables.ALL.forEach(this::takeOut);
        }
    }

    List<MergeStep> steps() {
        return steps;
    }

    /** Those that nobody has answered yet, and those that somebody has. */
    List<MergeQuestion> questions() {
        return questions;
    }

    List<String> renamed() {
        return renamed;
    }

    /** Values that stay as they are here though the archive has newer changes of them. */
    List<ObjectNode> settled() {
        return settled;
    }

    /** The archive's rows, naming rows as this record does. */
    RecordRows translated() {
        return translated.rows();
    }

    /** A change of the archive that is not here, as this record names it; null when it is here, or is of what stays out. */
    @Nullable
    ObjectNode change(ObjectNode event) {
        if (here.changes().containsKey(ArchiveJson.required(event, "uid"))) {
            return null;
        }
        return translated.of(ArchiveTables.named(RecordRows.CHANGES), event);
    }

    private void row(ArchiveTable table, String id, ObjectNode raw) {
        ObjectNode row = translated.of(table, raw);
        if (row == null) {
            translated.leaveOut(id);
            return;
        }
        ObjectNode mine = here.rows(table).get(id);
        mine = mine == null ? byKey(table, row) : mine;
        if (mine == null) {
            absent(table, id, row);
        } else {
            String own = here.identity(table, mine);
            if (!own.equals(id)) {
                translated.isHereAs(id, own);
            }
            if (!table.grows()) {
                compare(table, own, id, mine, row);
            }
            translated.add(table, row);
        }
    }

    private void absent(ArchiveTable table, String id, ObjectNode row) {
        ObjectNode was =
                before == null || table.grows() ? null : before.rows(table).get(id);
        if (was != null) {
            boolean wentOn = newsThere.contains(id) || !there.isLike(table, row, was);
            if (!wentOn || answer(id, table, List.of(), null, row, was) != Side.THERE) {
                translated.leaveOut(id);
                return;
            }
        }
        ownName(table, row);
        steps.add(new MergeStep(Act.ADD, table, row, id, List.of()));
        translated.add(table, row);
    }

    private Side answer(
            String id,
            ArchiveTable table,
            List<KeptColumn> of,
            @Nullable ObjectNode mine,
            @Nullable ObjectNode theirs,
            @Nullable ObjectNode was) {
        String part = of.isEmpty() ? "row" : of.get(0).property();
        String question = "%s:%s:%s".formatted(table.name(), id, part);
        List<KeptColumn> shown = of.isEmpty() ? columns.of(table.name()).all() : of;
        questions.add(words.ask(question, table, shown, mine, theirs, was));
        return answers.getOrDefault(question, Side.HERE);
    }

    private void compare(ArchiveTable table, String id, String there, ObjectNode mine, ObjectNode row) {
        ObjectNode was = before == null ? null : before.rows(table).get(id);
        was = was == null && before != null ? before.rows(table).get(there) : was;
        List<KeptColumn> change = new ArrayList<>();
        for (List<KeptColumn> group : groups(table)) {
            if (group.stream().anyMatch(c -> !ArchiveJson.same(mine.get(c.property()), row.get(c.property())))
                    && isTaken(table, id, group, mine, row, was)) {
                change.addAll(group);
            }
        }
        for (String either : table.either()) {
            KeptColumn column = columns.of(table.name()).of(either);
            if (row.path(column.property()).asBoolean()
                    && !mine.path(column.property()).asBoolean()) {
                change.add(column);
            }
        }
        if (!change.isEmpty()) {
            ObjectNode to = mine.deepCopy();
            change.forEach(c -> set(to, c.property(), row.get(c.property())));
            if (table.own().stream()
                    .anyMatch(own -> change.stream().anyMatch(c -> c.name().equals(own)))) {
                names.free(table, mine);
                ownName(table, to);
            }
            // who said it and when goes with what was said
            columns.of(table.name()).all().stream()
                    .filter(c -> table.quiet().contains(c.name())
                            && (c.keptAs() == KeptAs.TIME || c.name().equals("author")))
                    .filter(c -> table.apart().isEmpty())
                    .forEach(c -> {
                        set(to, c.property(), row.get(c.property()));
                        change.add(c);
                    });
            steps.add(new MergeStep(Act.CHANGE, table, to, id, change));
        }
    }

    private static void set(ObjectNode row, String property, @Nullable JsonNode value) {
        if (value == null) {
            row.remove(property);
        } else {
            row.set(property, value);
        }
    }

    private boolean isTaken(
            ArchiveTable table,
            String id,
            List<KeptColumn> group,
            ObjectNode mine,
            ObjectNode row,
            @Nullable ObjectNode was) {
        boolean movedHere = true;
        boolean movedThere = true;
        if (table.name().equals("knot")) {
            String key = RecordRows.valueKey(mine);
            boolean newsOfIt = changedHere.contains(key) || changedThere.contains(key);
            movedHere = !newsOfIt || changedHere.contains(key);
            movedThere = !newsOfIt || changedThere.contains(key);
        } else if (was != null) {
            movedHere = group.stream().anyMatch(c -> !ArchiveJson.same(mine.get(c.property()), was.get(c.property())));
            movedThere = group.stream().anyMatch(c -> !ArchiveJson.same(row.get(c.property()), was.get(c.property())));
        }
        if (!movedHere || !movedThere) {
            return movedThere;
        }
        boolean theirs = answer(id, table, group, mine, row, was) == Side.THERE;
        if (!theirs && table.name().equals("knot") && changedThere.contains(RecordRows.valueKey(mine))) {
            settled.add(mine);
        }
        return theirs;
    }

    /** Columns that are changed together; those that nobody is asked about are in none. */
    private List<List<KeptColumn>> groups(ArchiveTable table) {
        Columns of = columns.of(table.name());
        List<List<KeptColumn>> groups = new ArrayList<>();
        Set<String> apart = new HashSet<>();
        for (String group : table.apart()) {
            List<String> names = List.of(group.split(","));
            apart.addAll(names);
            groups.add(names.stream().map(of::of).toList());
        }
        List<KeptColumn> rest = of.all().stream()
                .filter(c -> c.keptAs() != KeptAs.UID && c.keptAs() != KeptAs.BYTES)
                .filter(c -> !apart.contains(c.name())
                        && !table.quiet().contains(c.name())
                        && !table.either().contains(c.name())
                        && !table.owners().contains(c.name())
                        && !table.key().contains(c.name()))
                .toList();
        if (!rest.isEmpty()) {
            groups.add(rest);
        }
        return groups;
    }

    private void takeOut(ArchiveTable table) {
        if (table.grows() || table.isOfTheCrew() || table.name().equals("knot")) {
            return;
        }
        Set<String> kept = new HashSet<>(there.rows(table).keySet());
        kept.addAll(translated.aliases());
        here.rows(table).forEach((id, mine) -> {
            ObjectNode was = Objects.requireNonNull(before).rows(table).get(id);
            if (was == null || kept.contains(id)) {
                return;
            }
            boolean wentOn = newsHere.contains(id) || !here.isLike(table, mine, was);
            if (!wentOn || answer(id, table, List.of(), mine, null, was) == Side.THERE) {
                steps.add(new MergeStep(Act.TAKE_OUT, table, mine, id, List.of()));
            }
        });
    }

    private @Nullable ObjectNode byKey(ArchiveTable table, ObjectNode row) {
        if (table.key().isEmpty()) {
            return null;
        }
        return byKey.computeIfAbsent(table.name(), name -> {
                    Map<String, ObjectNode> all = new LinkedHashMap<>();
                    here.rows(table).values().forEach(r -> all.put(key(table, r), r));
                    return all;
                })
                .get(key(table, row));
    }

    private static String key(ArchiveTable table, ObjectNode row) {
        return table.key().stream()
                .map(column -> row.path(ArchiveColumns.property(column)).asText())
                .collect(Collectors.joining(" "));
    }

    private void ownName(ArchiveTable table, ObjectNode row) {
        names.take(table, row).forEach(name -> {
            if (name.column().equals("placement_key")) {
                translated.isKeyed(ArchiveJson.required(row, "scene"), name.wanted(), name.other());
            } else {
                renamed.add("%s: %s of the archive is called %s here, because there is another one of that name."
                        .formatted(words.within(table, row), name.wanted(), name.other()));
            }
        });
    }

    /** @throws Refusal while something is asked that nobody has answered */
    void requireAnswers() {
        long open = questions.stream().filter(q -> !answers.containsKey(q.id())).count();
        if (open > 0) {
            throw new Refusal(
                    "answers",
                    open == 1
                            ? "One thing that both changed is not answered yet: say which is kept."
                            : "%d things that both changed are not answered yet: say which are kept.".formatted(open));
        }
    }
}
