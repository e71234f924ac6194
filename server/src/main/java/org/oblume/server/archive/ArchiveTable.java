package org.oblume.server.archive;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What an archive has to know of a table besides its columns, which the database tells.
 *
 * @param name of the table, and of its file
 * @param said what its rows are called, several of them
 * @param grows its rows are never changed nor taken out: what one side has and the other has not is new
 * @param owners columns, one of which is set: the row goes where that one goes; none for what is of the whole crew
 * @param json columns that hold JSON
 * @param refs columns with the id of a row, and the table that it is of, where the database does not say so
 * @param jsonRefs likewise within JSON: {@code plan.underlay.picture}
 * @param events columns with the number of the newest change of the record at that time
 * @param named columns with a kind and an id, {@code shot-12}
 * @param late columns that are filled when everything is there
 * @param key columns by which two rows are the same whatever their uids, none for those that only a uid tells
 * @param own a column whose value is nobody else's within its owner: whoever comes later is called otherwise
 * @param apart columns, or several in one with commas, that are changed each by itself; all others together are one value
 * @param quiet columns that nobody is asked about: what is here stays
 * @param either yes-or-no columns that are true where one side says so
 */
record ArchiveTable(
        String name,
        String said,
        boolean grows,
        List<String> owners,
        List<String> json,
        Map<String, String> refs,
        Map<String, String> jsonRefs,
        List<String> events,
        List<String> named,
        List<String> late,
        List<String> key,
        List<String> own,
        List<String> apart,
        List<String> quiet,
        List<String> either) {

    static final String ROOT = "production";

    static Builder of(String name, String said, String... owners) {
        return new Builder(name, said, List.of(owners));
    }

    boolean isOfTheCrew() {
        return owners.isEmpty() && named.isEmpty() && !name.equals(ROOT);
    }

    /** What is special of it, one thing after the other. */
    static final class Builder {

        private final String name;
        private final String said;
        private final List<String> owners;
        private final List<String> json = new ArrayList<>();
        private final Map<String, String> refs = new HashMap<>();
        private final Map<String, String> jsonRefs = new HashMap<>();
        private final List<String> events = new ArrayList<>();
        private final List<String> named = new ArrayList<>();
        private final List<String> late = new ArrayList<>();
        private final List<String> key = new ArrayList<>();
        private final List<String> own = new ArrayList<>();
        private final List<String> apart = new ArrayList<>();
        private final List<String> quiet = new ArrayList<>();
        private final List<String> either = new ArrayList<>();
        private boolean grows;

        private Builder(String name, String said, List<String> owners) {
            this.name = name;
            this.said = said;
            this.owners = owners;
        }

        Builder grows() {
            grows = true;
            return this;
        }

        Builder json(String... columns) {
            json.addAll(List.of(columns));
            return this;
        }

        Builder ref(String column, String table) {
            refs.put(column, table);
            return this;
        }

        Builder jsonRef(String path, String table) {
            jsonRefs.put(path, table);
            return this;
        }

        Builder event(String column) {
            events.add(column);
            return this;
        }

        Builder named(String... columns) {
            named.addAll(List.of(columns));
            return this;
        }

        Builder late(String... columns) {
            late.addAll(List.of(columns));
            return this;
        }

        Builder key(String... columns) {
            key.addAll(List.of(columns));
            return this;
        }

        Builder own(String... columns) {
            own.addAll(List.of(columns));
            return this;
        }

        Builder apart(String... columns) {
            apart.addAll(List.of(columns));
            return this;
        }

        Builder quiet(String... columns) {
            quiet.addAll(List.of(columns));
            return this;
        }

        Builder either(String... columns) {
            either.addAll(List.of(columns));
            return this;
        }

        ArchiveTable build() {
            return new ArchiveTable(
                    name, said, grows, owners, json, refs, jsonRefs, events, named, late, key, own, apart, quiet,
                    either);
        }
    }
}
