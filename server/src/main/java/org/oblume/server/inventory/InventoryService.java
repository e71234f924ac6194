package org.oblume.server.inventory;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.KitSize;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.kit.UnitSpan;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.earlier.EarlierVersions;
import org.oblume.server.earlier.Said;
import org.oblume.server.inventory.InventoryViews.CountedView;
import org.oblume.server.inventory.InventoryViews.EarlierCounted;
import org.oblume.server.inventory.InventoryViews.EarlierUnit;
import org.oblume.server.inventory.InventoryViews.InventoryView;
import org.oblume.server.inventory.InventoryViews.KitFileRead;
import org.oblume.server.inventory.InventoryViews.ScannedUnit;
import org.oblume.server.inventory.InventoryViews.UnitUse;
import org.oblume.server.inventory.InventoryViews.UnitView;
import org.oblume.server.production.ProductionService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The units and the counted stock of productions. */
@Service
@Transactional
public class InventoryService {

    private static final int MOST_UNITS = 5000;
    private static final Pattern ADDRESS = Pattern.compile("https?://[^\\s/?#]+(/[^\\s?#]*)?");
    private static final int LONGEST_ADDRESS = 120;

    private final KitUnitRepository units;
    private final CountedStockRepository counted;
    private final KitAddressRepository addresses;
    private final ProductionService productions;
    private final UnitUses uses;
    private final EarlierVersions earlier;
    private final RecordJson json;
    private final Clock clock;

    InventoryService(
            KitUnitRepository units,
            CountedStockRepository counted,
            KitAddressRepository addresses,
            ProductionService productions,
            UnitUses uses,
            EarlierVersions earlier,
            RecordJson json,
            Clock clock) {
        this.units = units;
        this.counted = counted;
        this.addresses = addresses;
        this.productions = productions;
        this.uses = uses;
        this.earlier = earlier;
        this.json = json;
        this.clock = clock;
    }

    /** What a production has. */
    public record Inventory(List<KitUnit> units, List<CountedStock> counted) {

        /** Whether nobody has said anything of it: then nothing is told to be short. */
        public boolean isEmpty() {
            return units.isEmpty() && counted.isEmpty();
        }
    }

    @Transactional(readOnly = true)
    public Inventory of(long productionId) {
        return new Inventory(
                units.findByProductionIdOrderById(productionId).stream()
                        .map(this::unit)
                        .toList(),
                counted.findByProductionIdOrderById(productionId).stream()
                        .map(this::item)
                        .toList());
    }

    private KitUnit unit(KitUnitEntity row) {
        return json.read(row.unit(), KitUnit.class);
    }

    private CountedStock item(CountedStockEntity row) {
        return json.read(row.item(), CountedStock.class);
    }

    public LocalDate today() {
        return LocalDate.now(clock);
    }

    @Transactional(readOnly = true)
    public InventoryView view(long productionId) {
        productions.get(productionId);
        Map<String, List<UnitUses.Named>> named = uses.of(productionId);
        List<UnitView> known = units.findByProductionIdOrderById(productionId).stream()
                .map(row -> view(row, named))
                .toList();
        return new InventoryView(
                known,
                counted.findByProductionIdOrderById(productionId).stream()
                        .map(this::view)
                        .toList(),
                named.entrySet().stream()
                        .filter(e ->
                                known.stream().noneMatch(u -> u.unit().name().equalsIgnoreCase(e.getKey())))
                        .map(e -> UnitUses.named(e.getKey(), e.getValue()))
                        .toList(),
                addresses
                        .findByProductionId(productionId)
                        .map(KitAddressEntity::address)
                        .orElse(null),
                today());
    }

    private UnitView view(KitUnitEntity row, Map<String, List<UnitUses.Named>> named) {
        KitUnit unit = unit(row);
        List<UnitUse> used = named.getOrDefault(unit.name(), List.of()).stream()
                .map(UnitUses.Named::use)
                .toList();
        Optional<UnitUse> lit =
                used.stream().filter(u -> u.stage() == ShotStage.LIT).findFirst();
        Optional<String> away = unit.whyNot(today());
        String where = away.orElseGet(() -> lit.map(u -> "%s, %s".formatted(u.slate(), u.name()))
                .orElseGet(() -> unit.on(today()).map(s -> s.say()).orElse("in")));
        return new UnitView(
                row.id(),
                row.version(),
                unit,
                unit.kind(),
                where,
                away.isEmpty(),
                unit.on(today()).filter(s -> s.state() == UnitSpan.State.REPAIR).isPresent(),
                away.isEmpty() ? lit.orElse(null) : null,
                used);
    }

    private CountedView view(CountedStockEntity row) {
        CountedStock item = item(row);
        return new CountedView(row.id(), row.version(), item, item.detail());
    }

    /** One unit with where it is used. */
    @Transactional(readOnly = true)
    public UnitView unit(long productionId, long id) {
        return view(row(productionId, id), uses.of(productionId));
    }

    private KitUnitEntity row(long productionId, long id) {
        return units.findById(id)
                .filter(u -> u.productionId() == productionId)
                .orElseThrow(() -> new NotFoundException("There is no such unit in the kit any more."));
    }

    private CountedStockEntity countedRow(long productionId, long id) {
        return counted.findById(id)
                .filter(c -> c.productionId() == productionId)
                .orElseThrow(() -> new NotFoundException("That is not counted in the kit any more."));
    }

    /** Everything that bears a tag, in whichever production. */
    @Transactional(readOnly = true)
    List<ScannedUnit> scanned(String tag) {
        return units.findByTagKeyOrderById(KitUnit.tagKey(tag)).stream()
                .map(row -> new ScannedUnit(
                        row.productionId(),
                        productions.get(row.productionId()).name(),
                        view(row, uses.of(row.productionId())),
                        !unit(row).size().equals(KitSize.NONE)))
                .toList();
    }

    /** @throws Refusal when its tag or its name is another's */
    void add(long productionId, KitUnit unit) {
        productions.get(productionId);
        List<KitUnit> all = of(productionId).units();
        refuseTwice(unit, all);
        insert(productionId, unit, all.size() + 1);
    }

    private void insert(long productionId, KitUnit unit, int number) {
        if (number > MOST_UNITS) {
            throw new Refusal("A kit has %d units at most.".formatted(MOST_UNITS));
        }
        units.saveAndFlush(new KitUnitEntity(productionId).say(KitUnit.tagKey(unit.tag()), json.write(unit)));
    }

    /** @throws EditConflict when somebody else changed it since that version */
    void change(long productionId, long id, KitUnit unit, long version, String author) {
        KitUnitEntity row = row(productionId, id);
        KitUnit before = unit(row);
        if (row.version() != version) {
            throw new EditConflict(
                    "Someone changed %s since you opened it. Nothing of yours was kept yet.".formatted(before.name()),
                    before);
        }
        refuseTwice(
                unit,
                of(productionId).units().stream().filter(u -> !u.equals(before)).toList());
        refuseRenaming(productionId, before, unit);
        replace(row, before, unit, author);
    }

    private void replace(KitUnitEntity row, KitUnit before, KitUnit unit, String author) {
        earlier.keep(Said.UNIT, row.id(), before, author);
        units.saveAndFlush(row.say(KitUnit.tagKey(unit.tag()), json.write(unit)));
    }

    private void refuseRenaming(long productionId, KitUnit before, KitUnit unit) {
        if (!unit.name().equalsIgnoreCase(before.name())) {
            refuseWhenNamed(
                    productionId, before.name(), "The plots know it by that name: record the other name there first.");
        }
    }

    private static void refuseTwice(KitUnit unit, Collection<KitUnit> others) {
        for (KitUnit other : others) {
            if (KitUnit.tagKey(other.tag()).equals(KitUnit.tagKey(unit.tag()))) {
                throw new Refusal(
                        "tag",
                        "%s bears the tag %s already: give this one another.".formatted(other.name(), other.tag()));
            }
            if (other.name().equalsIgnoreCase(unit.name())) {
                throw new Refusal(
                        "name",
                        "Another unit is called %s already, with the tag %s: give this one another name."
                                .formatted(other.name(), other.tag()));
            }
        }
    }

    /** @throws Refusal when shots name it */
    void remove(long productionId, long id) {
        KitUnitEntity row = row(productionId, id);
        refuseWhenNamed(
                productionId,
                unit(row).name(),
                "Record another unit there first, or say here that it is out or at repair.");
        units.delete(row);
    }

    private void refuseWhenNamed(long productionId, String unit, String instead) {
        List<UnitUses.Named> named = uses.of(productionId).getOrDefault(unit, List.of());
        if (!named.isEmpty()) {
            throw new Refusal("%s stands in %s. %s"
                    .formatted(
                            unit, String.join(", ", UnitUses.named(unit, named).shots()), instead));
        }
    }

    @Transactional(readOnly = true)
    List<EarlierUnit> earlierUnits(long productionId, long id) {
        row(productionId, id);
        return earlier.of(Said.UNIT, id, KitUnit.class).stream()
                .map(e -> new EarlierUnit(e.until(), e.by(), e.was()))
                .toList();
    }

    /** Takes up the units that shots name; each bears its name as its tag. */
    int takeUp(long productionId) {
        int taken = 0;
        for (var named : view(productionId).unknown()) {
            add(
                    productionId,
                    new KitUnit(
                            tagOf(named.name(), of(productionId).units()),
                            named.name(),
                            named.what(),
                            KitSize.NONE,
                            null,
                            null,
                            List.of()));
            taken++;
        }
        return taken;
    }

    private static String tagOf(String name, List<KitUnit> others) {
        String plain = name.strip().replaceAll("[^\\p{L}\\p{N}\\p{M}]+", "-").replaceAll("^-+|-+$", "");
        String base = plain.isEmpty() ? "unit" : plain.substring(0, Math.min(plain.length(), 20));
        String tag = base.replaceAll("-+$", "");
        for (int i = 2; isTaken(tag, others); i++) {
            tag = "%s-%d".formatted(base, i);
        }
        return tag;
    }

    private static boolean isTaken(String tag, List<KitUnit> others) {
        return others.stream().anyMatch(u -> KitUnit.tagKey(u.tag()).equals(KitUnit.tagKey(tag)));
    }

    /** @throws Refusal when the very same is counted already */
    void count(long productionId, CountedStock item) {
        productions.get(productionId);
        refuseTwice(productionId, item, null);
        counted.saveAndFlush(new CountedStockEntity(productionId).say(json.write(item)));
    }

    /** @throws EditConflict when somebody else counted it since that version */
    void recount(long productionId, long id, CountedStock item, long version, String author) {
        CountedStockEntity row = countedRow(productionId, id);
        CountedStock before = item(row);
        if (row.version() != version) {
            throw new EditConflict(
                    "Someone counted %s since you opened it. Nothing of yours was kept yet.".formatted(before.what()),
                    before);
        }
        refuseTwice(productionId, item, id);
        earlier.keep(Said.COUNTED_STOCK, id, before, author);
        counted.saveAndFlush(row.say(json.write(item)));
    }

    private void refuseTwice(long productionId, CountedStock item, @Nullable Long butId) {
        boolean there = counted.findByProductionIdOrderById(productionId).stream()
                .anyMatch(c -> !Objects.equals(c.id(), butId) && item(c).isLike(item));
        if (there) {
            throw new Refusal(
                    "what",
                    "%s is counted already: change its number there."
                            .formatted(item.phrase().metric()));
        }
    }

    void uncount(long productionId, long id) {
        counted.delete(countedRow(productionId, id));
    }

    @Transactional(readOnly = true)
    List<EarlierCounted> earlierCounted(long productionId, long id) {
        countedRow(productionId, id);
        return earlier.of(Said.COUNTED_STOCK, id, CountedStock.class).stream()
                .map(e -> new EarlierCounted(e.until(), e.by(), e.was()))
                .toList();
    }

    /** What a file would change. */
    @Transactional(readOnly = true)
    KitFileRead preview(long productionId, String csv) {
        return read(productionId, csv, null);
    }

    /** Keeps all that a file says, or nothing of it; what the file does not name stays as it is. */
    KitFileRead keep(long productionId, String csv, String author) {
        return read(productionId, csv, author);
    }

    /** @param keeper who keeps it, or null when it is only looked at */
    private KitFileRead read(long productionId, String csv, @Nullable String keeper) {
        List<KitFile.Row> rows = KitFile.read(csv);
        productions.get(productionId);
        FileRead read = new FileRead(productionId, keeper);
        for (KitFile.Row row : rows) {
            if (row.unit() != null) {
                read.take(row.unit());
            } else {
                read.take(Objects.requireNonNull(row.counted()));
            }
        }
        return new KitFileRead(read.added, read.changed, read.same);
    }

    /** A table that is laid over what is known. */
    private final class FileRead {

        private final long productionId;
        private final @Nullable String keeper;
        private final Map<String, KitUnitEntity> unitRows = new LinkedHashMap<>();
        private final Map<String, KitUnit> known = new LinkedHashMap<>();
        private final List<CountedStockEntity> countedRows;
        private final List<Phrase> added = new ArrayList<>();
        private final List<Phrase> changed = new ArrayList<>();
        private int same;

        FileRead(long productionId, @Nullable String keeper) {
            this.productionId = productionId;
            this.keeper = keeper;
            units.findByProductionIdOrderById(productionId).forEach(row -> {
                KitUnit unit = unit(row);
                unitRows.put(KitUnit.tagKey(unit.tag()), row);
                known.put(KitUnit.tagKey(unit.tag()), unit);
            });
            countedRows = counted.findByProductionIdOrderById(productionId);
        }

        void take(KitUnit unit) {
            String key = KitUnit.tagKey(unit.tag());
            KitUnit before = known.remove(key);
            refuseTwice(unit, known.values());
            known.put(key, unit);
            Phrase called = Phrase.format("%s, %s, %s", unit.tag(), unit.name(), unit.kind());
            if (before == null) {
                added.add(called);
                if (keeper != null) {
                    insert(productionId, unit, known.size());
                }
            } else if (before.equals(unit)) {
                same++;
            } else {
                refuseRenaming(productionId, before, unit);
                changed.add(called);
                if (keeper != null) {
                    replace(Objects.requireNonNull(unitRows.get(key)), before, unit, keeper);
                }
            }
        }

        void take(CountedStock item) {
            Phrase called = Phrase.format("%s: %d", item.phrase(), item.count());
            CountedStockEntity row = countedRows.stream()
                    .filter(c -> item(c).isLike(item))
                    .findFirst()
                    .orElse(null);
            if (row == null) {
                added.add(called);
                if (keeper != null) {
                    counted.save(new CountedStockEntity(productionId).say(json.write(item)));
                }
                return;
            }
            CountedStock before = item(row);
            if (before.equals(item)) {
                same++;
            } else {
                changed.add(Phrase.format("%s, before %d", called, before.count()));
                if (keeper != null) {
                    earlier.keep(Said.COUNTED_STOCK, row.id(), before, keeper);
                    counted.save(row.say(json.write(item)));
                }
            }
        }
    }

    @Transactional(readOnly = true)
    String csv(long productionId) {
        productions.get(productionId);
        Inventory all = of(productionId);
        return KitFile.write(all.units(), all.counted());
    }

    /**
     * What the labels lead to: the address that phones on set reach this server by.
     *
     * @throws Refusal when it is none
     */
    void address(long productionId, String address) {
        productions.get(productionId);
        String plain = address.strip().replaceAll("/+$", "");
        if (plain.length() > LONGEST_ADDRESS
                || !ADDRESS.matcher(plain.toLowerCase(Locale.ROOT)).matches()) {
            throw new Refusal(
                    "address",
                    "Write the address that phones reach Oblume by, such as http://oblume.local:8080, in up to %d signs."
                            .formatted(LONGEST_ADDRESS));
        }
        addresses.save(addresses
                .findByProductionId(productionId)
                .orElseGet(() -> new KitAddressEntity(productionId))
                .say(plain));
    }

    /** What the labels of a production lead to, or null while nobody said. */
    @Transactional(readOnly = true)
    public @Nullable String address(long productionId) {
        return addresses
                .findByProductionId(productionId)
                .map(KitAddressEntity::address)
                .orElse(null);
    }
}
