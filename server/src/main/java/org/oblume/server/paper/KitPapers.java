package org.oblume.server.paper;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.KitItem;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.inventory.InventoryService;
import org.oblume.server.production.ProductionService;
import org.oblume.server.truck.PullService;
import org.oblume.server.truck.PullViews.PullLineView;
import org.oblume.server.truck.PullViews.PullListView;
import org.oblume.server.truck.PullViews.PullSince;
import org.oblume.server.truck.TruckService;
import org.oblume.server.truck.TruckViews.CutOf;
import org.oblume.server.truck.TruckViews.DayKitView;
import org.oblume.server.truck.TruckViews.NeedLine;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The kit on paper: what is pulled, what is cut, and labels. */
@Service
@Transactional(readOnly = true)
class KitPapers {

    private static final double PERCENT = 100;
    private final PullService pulls;
    private final TruckService truck;
    private final InventoryService inventory;
    private final ProductionService productions;

    KitPapers(PullService pulls, TruckService truck, InventoryService inventory, ProductionService productions) {
        this.pulls = pulls;
        this.truck = truck;
        this.inventory = inventory;
        this.productions = productions;
    }

    Paper pull(long id, Papers.For reader) {
        PullListView list = pulls.view(id);
        PullSince since = pulls.since(id);
        Sheet.Table table = new Sheet.Table(
                "",
                List.of(
                        Papers.column("Case", 1),
                        Papers.column("Tag", 1),
                        Papers.column("What", 3),
                        Papers.figures("Wanted", 0.7),
                        Papers.figures("Out", 0.7),
                        Papers.figures("Back", 0.7),
                        Papers.column("For", 2.4),
                        Papers.column("Counted by", 1)),
                list.lines().stream().map(l -> row(l, reader)).toList());
        List<Sheet.Part> parts = new ArrayList<>();
        parts.add(table);
        says(parts, "Not there to be pulled", since.notThere(), reader);
        says(parts, "Wanted since it was made", since.since(), reader);
        String missing = list.lines().stream()
                .filter(l -> l.missing() > 0)
                .map(l -> "%d × %s".formatted(l.missing(), called(l, reader)))
                .collect(Collectors.joining("; "));
        if (list.wrappedAt() != null && !missing.isEmpty()) {
            parts.add(new Sheet.Say("Missing at wrap: %s.".formatted(missing), true));
        }
        return new Paper(
                "pull-%d".formatted(id),
                new Sheet(
                        "Pull list: %s".formatted(list.title()),
                        "%s. Made %s by %s."
                                .formatted(
                                        productions.get(list.productionId()).name(),
                                        PaperController.when(list.madeAt()),
                                        list.madeBy()),
                        reader.link("/pull-lists/%d".formatted(id)),
                        false,
                        parts),
                table);
    }

    private static List<String> row(PullLineView line, Papers.For reader) {
        return List.of(
                told(line.item().packedIn()),
                told(line.item().tag()),
                called(line, reader),
                String.valueOf(line.wanted()),
                String.valueOf(line.out()),
                String.valueOf(line.back()),
                line.item().forWhat(),
                told(line.author()));
    }

    private static String called(PullLineView line, Papers.For reader) {
        String what = reader.say(line.item().what());
        return line.item().unit() == null
                ? what
                : "%s, %s".formatted(line.item().unit(), what);
    }

    private static String told(@Nullable String text) {
        return text == null ? "" : text;
    }

    private static void says(List<Sheet.Part> parts, String head, List<Phrase> all, Papers.For reader) {
        if (!all.isEmpty()) {
            parts.add(new Sheet.Say(
                    "%s: %s.".formatted(head, all.stream().map(reader::say).collect(Collectors.joining("; "))), true));
        }
    }

    Paper cut(long productionId, int number, Papers.For reader) {
        DayKitView day = truck.ofDay(productionId, number);
        Sheet.Table table = new Sheet.Table(
                "",
                List.of(
                        Papers.column("Filter or cloth", 2),
                        Papers.column("Piece", 2),
                        Papers.figures("Wanted", 0.8),
                        Papers.figures("Worn", 0.7),
                        Papers.column("How", 2),
                        Papers.figures("Missing", 0.8),
                        Papers.column("For", 2)),
                day.lines().stream()
                        .filter(l -> l.sort() == KitItem.Sort.FLAT)
                        .map(l -> row(l, reader))
                        .toList());
        List<Sheet.Part> parts = new ArrayList<>();
        parts.add(table);
        for (CutOf cut : day.cuts()) {
            parts.add(new Sheet.Say(
                    "%s: %d sheet%s, %s of roll, %.0f %% of it left over%s."
                            .formatted(
                                    cut.what(),
                                    cut.sheets(),
                                    cut.sheets() == 1 ? "" : "s",
                                    reader.say(cut.roll()),
                                    PERCENT * cut.leftOver(),
                                    cut.toBuy() == null ? "" : "; to buy: " + reader.say(cut.toBuy())),
                    false));
        }
        parts.add(new Sheet.Say("Cuts from edge to edge (model); 4 cm at each.", false));
        return new Paper(
                "cut-%d".formatted(number),
                new Sheet(
                        "Cut list: day %d".formatted(number),
                        productions.get(productionId).name(),
                        reader.link("/productions/%d/kit".formatted(productionId)),
                        false,
                        parts),
                table);
    }

    private static List<String> row(NeedLine line, Papers.For reader) {
        return List.of(
                line.what(),
                reader.say(line.item()),
                String.valueOf(line.count()),
                String.valueOf(line.worn()),
                line.how() == null ? "" : reader.say(line.how()),
                String.valueOf(line.missing()),
                "%s in %s".formatted(String.join(", ", line.by()), String.join(", ", line.shots())));
    }

    /**
     * @param tags of the units, or none for all
     * @throws Refusal when nobody said what the labels lead to, or there is nothing to label
     */
    Paper labels(long productionId, List<String> tags, Papers.For reader) {
        String address = inventory.address(productionId);
        String leads = address == null ? reader.link("") : address;
        if (leads == null) {
            throw new Refusal(
                    "address", "Say first by which address phones reach Oblume: it stands in the codes of all labels.");
        }
        List<String> keys = tags.stream().map(KitUnit::tagKey).toList();
        List<KitUnit> units = inventory.of(productionId).units().stream()
                .filter(u -> keys.isEmpty() || keys.contains(KitUnit.tagKey(u.tag())))
                .toList();
        if (units.isEmpty()) {
            throw new Refusal("tags", "There is no such unit in the kit: add units first.");
        }
        List<Sheet.Label> labels = units.stream()
                .map(u -> new Sheet.Label(
                        Objects.requireNonNull(leads) + "/u/" + encoded(u.tag()),
                        u.name(),
                        u.tag(),
                        reader.say(u.kind())))
                .toList();
        Sheet.Table table = new Sheet.Table(
                "",
                List.of(
                        Papers.column("Tag", 1),
                        Papers.column("Name", 2),
                        Papers.column("What", 3),
                        Papers.column("Address", 4)),
                labels.stream()
                        .map(l -> List.of(l.tag(), l.name(), l.what(), l.link()))
                        .toList());
        return new Paper(
                "labels",
                new Sheet(
                        "Labels",
                        "%s. The code leads to %s."
                                .formatted(productions.get(productionId).name(), leads),
                        reader.link("/productions/%d/kit".formatted(productionId)),
                        false,
                        List.of(new Sheet.Labels(labels))),
                table);
    }

    private static String encoded(String tag) {
        return URLEncoder.encode(tag, StandardCharsets.UTF_8);
    }
}
