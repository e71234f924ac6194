package org.oblume.server.archive;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Everything that is recorded of a production, what others rest on first. */
final class ArchiveTables {

    /** Of the machine or of who works there, not of a production. */
    static final Set<String> NOT_OF_A_PRODUCTION = Set.of(
            "account",
            "archive_point",
            "epoch",
            "flyway_schema_history",
            "idempotency_key",
            "invitation",
            "output_session",
            "output_setting",
            "spring_session",
            "spring_session_attributes");

    static final List<ArchiveTable> ALL = Stream.of(
                    ArchiveTable.of("production", "the production")
                            .json("tempo", "spread")
                            .apart("days", "tempo", "spread", "closed_at")
                            .quiet("name", "deleted_name", "deleted_at", "deleted_by"),
                    ArchiveTable.of("own_fixture", "kinds of the crew’s own")
                            .json("fixture")
                            .key("what"),
                    ArchiveTable.of("own_stock", "stock of the crew’s own")
                            .json("item")
                            .key("name"),
                    ArchiveTable.of("stage_set", "sets", "production_id")
                            .json("plan")
                            .jsonRef("plan.underlay.picture", "picture")
                            .late("plan")
                            .apart("name", "plan"),
                    ArchiveTable.of("picture", "pictures under plans", "set_id").grows(),
                    ArchiveTable.of("scene", "scenes", "production_id")
                            .own("number")
                            .apart("number", "heading", "location", "build_order", "set_id"),
                    ArchiveTable.of("placement", "things placed", "scene_id")
                            .json("lamp", "surface")
                            .own("placement_key", "name")
                            .apart("name", "role", "motivation", "group_name", "locked")
                            .quiet("place_in_list", "placement_key"),
                    ArchiveTable.of("shot", "shots", "scene_id")
                            .late("based_on_id")
                            .own("slate")
                            .apart(
                                    "slate",
                                    "description",
                                    "shooting_day",
                                    "based_on_id",
                                    "stage,lit_by,lit_at,shot_by,shot_at")
                            .quiet("place_in_list", "revision"),
                    ArchiveTable.of("edit", "edits", "shot_id")
                            .ref("of_edit", "edit")
                            .quiet("label", "kind", "author", "made_at", "of_edit")
                            .either("taken_back"),
                    ArchiveTable.of("knot_event", "changes of values", "shot_id")
                            .grows()
                            .json("held_value", "before_value"),
                    ArchiveTable.of("knot", "values", "shot_id")
                            .json("held_value")
                            .key("shot_id", "placement_id", "attribute")
                            .quiet("author", "changed_at"),
                    ArchiveTable.of("naming", "renamings", "placement_id")
                            .grows()
                            .event("after_event"),
                    ArchiveTable.of("confirmation", "looks on set", "shot_id")
                            .json("held_value")
                            .event("after_event")
                            .quiet("held_value", "author", "made_at", "after_event", "edit_id", "attribute")
                            .either("taken_back"),
                    ArchiveTable.of("shot_revision", "closed revisions", "shot_id")
                            .grows()
                            .event("last_event")
                            .own("number"),
                    ArchiveTable.of("take", "takes", "shot_id")
                            .own("number")
                            .apart("note", "circled")
                            .quiet("author", "made_at"),
                    ArchiveTable.of("note", "notes", "shot_id", "placement_id", "set_id")
                            .quiet("author", "made_at"),
                    ArchiveTable.of("note_photo", "photographs", "note_id")
                            .grows()
                            .key("note_id"),
                    ArchiveTable.of("rebuild_run", "rebuilds", "shot_id")
                            .json("plan_fit", "signed_page")
                            .event("last_event")
                            .apart("signed_by,signed_at,verdict,signed_page")
                            .quiet("last_event", "author", "started_at"),
                    ArchiveTable.of("run_step", "steps of rebuilds", "run_id")
                            .json("piece", "held_values")
                            .key("run_id", "placement_id")
                            .quiet("author", "ticked_at"),
                    ArchiveTable.of("still", "stills", "note_id")
                            .json("points")
                            .key("note_id")
                            .apart("reference", "points"),
                    ArchiveTable.of("still_small", "small pictures", "note_id")
                            .grows()
                            .key("note_id"),
                    ArchiveTable.of("photo_taps", "photographs with taps", "note_id")
                            .json("taps")
                            .key("note_id")
                            .named("taken_for")
                            .quiet("author"),
                    ArchiveTable.of("reading", "readings", "shot_id")
                            .json("figures")
                            .quiet("author", "made_at", "predicted_lux", "predicted_kelvin", "predicted_duv", "model"),
                    ArchiveTable.of("dial_point", "points of dial curves", "production_id")
                            .quiet("author", "made_at"),
                    ArchiveTable.of("look", "looks", "scene_id")
                            .json("held_values")
                            .own("name")
                            .quiet("author", "made_at"),
                    ArchiveTable.of("move_tick", "ticks of moves")
                            .named("from_side", "to_side")
                            .key("from_side", "to_side", "move_key")
                            .quiet("author", "ticked_at", "said"),
                    ArchiveTable.of("scene_match", "what scenes are judged by", "scene_id")
                            .key("scene_id"),
                    ArchiveTable.of("shot_match", "what shots are judged by", "shot_id")
                            .json("own_tolerances")
                            .key("shot_id"),
                    ArchiveTable.of("by_eye", "what was judged by eye", "shot_id")
                            .quiet("author", "said_at"),
                    ArchiveTable.of("monitor_curve", "curves of monitors", "production_id", "scene_id")
                            .json("curve")
                            .key("production_id", "scene_id"),
                    ArchiveTable.of("network_node", "nodes", "production_id").own("name"),
                    ArchiveTable.of("shooting_day", "days", "production_id")
                            .json("card")
                            .key("production_id", "number"),
                    ArchiveTable.of("day_shot", "shots on days", "day_id")
                            .key("day_id", "shot_id")
                            .quiet("place_in_list"),
                    ArchiveTable.of("shot_plan", "needs of shots", "shot_id")
                            .json("plan")
                            .jsonRef("plan.afterId", "shot")
                            .key("shot_id"),
                    ArchiveTable.of("set_power", "feeds", "set_id").json("plan").key("set_id"),
                    ArchiveTable.of("kit_unit", "units", "production_id")
                            .json("unit")
                            .key("production_id", "tag_key"),
                    ArchiveTable.of("counted_stock", "counted stock", "production_id")
                            .json("item"),
                    ArchiveTable.of("kit_address", "addresses on labels", "production_id")
                            .key("production_id"),
                    ArchiveTable.of("pull_list", "pull lists", "production_id")
                            .json("subject")
                            .jsonRef("subject.sceneId", "scene")
                            .jsonRef("subject.setId", "stage_set")
                            .apart("wrapped_at,wrapped_by")
                            .quiet("made_at", "made_by"),
                    ArchiveTable.of("pull_line", "lines of pull lists", "list_id")
                            .json("line")
                            .apart("wanted", "counted_out,counted_back")
                            .quiet("author", "counted_at", "place_in_list"),
                    ArchiveTable.of(
                                    "earlier_version",
                                    "earlier versions",
                                    "set_id",
                                    "day_id",
                                    "shot_id",
                                    "unit_id",
                                    "stock_id")
                            .grows()
                            .json("was")
                            .jsonRef("was.afterId", "shot"))
            .map(ArchiveTable.Builder::build)
            .toList();

    private static final Map<String, ArchiveTable> BY_NAME =
            ALL.stream().collect(Collectors.toMap(ArchiveTable::name, t -> t));

    private ArchiveTables() {}

    static ArchiveTable named(String name) {
        ArchiveTable table = BY_NAME.get(name);
        if (table == null) {
            throw new IllegalArgumentException(name);
        }
        return table;
    }
}
