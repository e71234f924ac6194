package org.oblume.server.kit;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.network.Mode;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.FrontGear;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.CommitCaches.CommitCache;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.oblume.server.support.RecordSource.Part;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The kit that ships with the product, and what a crew adds: to its stock in {@code stock.csv} in the data folder, read once at the
 * start, and kinds of its own.
 */
@Service
@Transactional
public class KitService {

    static final CSVFormat TABLE =
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();
    private static final Logger LOG = LoggerFactory.getLogger(KitService.class);
    private static final String OWN_STOCK = "stock.csv";
    private static final String OWN = "own";
    private static final int MOST_OF_STOCK = 2000;
    /** What ships, and over it the crew's own file. */
    private final Map<String, StockItem> onShelf = new LinkedHashMap<>();

    private final @Nullable String problem;
    private final List<Kit.Fixture> shipped;
    private final Map<String, List<Mode>> shippedModes;
    private final OwnFixtureRepository own;
    private final OwnStockRepository ownItems;
    private final RecordJson json;
    private final CommitCache<String, List<Kit.Fixture>> ownFixtures;
    private final CommitCache<String, Map<String, StockItem>> ownStock;

    KitService(
            @Value("${oblume.data}") Path data,
            OwnFixtureRepository own,
            OwnStockRepository ownItems,
            RecordJson json,
            CommitCaches caches) {
        ownFixtures = caches.cache(1, (fixtures, changed) -> changed.part() == Part.KIT);
        ownStock = caches.cache(1, (items, changed) -> changed.part() == Part.KIT);
        this.own = own;
        this.ownItems = ownItems;
        this.json = json;
        StockFile.read(shipped("/kit/stock.csv")).forEach(item -> onShelf.put(item.name(), item));
        problem = addOwn(data.resolve(OWN_STOCK), onShelf);
        shipped = rows(shipped("/kit/fixtures.csv"), row -> FixtureFile.fixture(row, onShelf));
        shippedModes =
                shipped.stream().map(Kit.Fixture::piece).collect(Collectors.toUnmodifiableMap(Piece::what, Mode::of));
    }

    public Kit kit() {
        Map<String, StockItem> changed = ownStock();
        return new Kit(
                fixtures(),
                stock().stream()
                        .map(item -> Kit.Stock.of(item, changed.containsKey(item.name())))
                        .toList(),
                FrontGear.ALL,
                problem);
    }

    /** What can be hung and bounced off; what the crew changed in its place. */
    public List<StockItem> stock() {
        Map<String, StockItem> all = new LinkedHashMap<>(onShelf);
        all.putAll(ownStock());
        return List.copyOf(all.values());
    }

    private Map<String, StockItem> ownStock() {
        return ownStock.get(OWN, key -> ownItems.findAllByOrderByName().stream()
                .map(o -> json.read(o.item(), Kit.Stock.class).item())
                .collect(Collectors.toMap(StockItem::name, item -> item, (a, b) -> b, LinkedHashMap::new)));
    }

    /** Puts an item into the stock, in the place of one of that name. */
    void stock(StockItem item) {
        OwnStockEntity entity = ownItems.findByName(item.name()).orElseGet(() -> new OwnStockEntity(item.name()));
        entity.describe(json.write(Kit.Stock.of(item, true)));
        ownItems.save(entity);
    }

    /** Takes the crew's own item out of the stock; where one ships under that name, its figures hold again. What hangs stays as it is. */
    void unstock(String name) {
        ownItems.delete(ownItems.findByName(name)
                .orElseThrow(
                        () -> new NotFoundException("The crew has no %s of its own in the stock.".formatted(name))));
    }

    /**
     * Puts all items of a CSV file into the stock, or none of them when a line is wrong.
     *
     * @return how many are another than they were
     */
    int stock(String csv) {
        List<StockItem> items = StockFile.read(csv);
        Checks.within("The number of items", items.size(), 1, MOST_OF_STOCK, "");
        Set<StockItem> known = Set.copyOf(stock());
        List<StockItem> changed = items.stream().filter(i -> !known.contains(i)).toList();
        changed.forEach(this::stock);
        return changed.size();
    }

    /** The stock as a CSV file that can be read again. */
    String stockCsv() {
        return StockFile.write(stock());
    }

    /** A value as its names tell it: a softness that is the shipped stock's own is left out, and read back from the name. */
    public static AttributeValue byName(AttributeValue value) {
        return value instanceof Modifiers stack ? StockSoftness.byName(stack) : value;
    }

    /** What can be placed: the crew's own kinds first. */
    public List<Kit.Fixture> fixtures() {
        return Stream.concat(
                        ownFixtures
                                .get(OWN, key -> own.findAllByOrderByWhat().stream()
                                        .map(o -> json.read(o.fixture(), Kit.Fixture.class))
                                        .toList())
                                .stream(),
                        shipped.stream())
                .toList();
    }

    /**
     * The control modes of a thing. Of a mode of which only the footprint was written down, the shipped kind of the same name says what its slots are, when they
     * are as many.
     */
    public List<Mode> modesOf(Piece piece) {
        List<Mode> kinds = shippedModes.getOrDefault(piece.what(), List.of());
        return Mode.of(piece).stream()
                .map(m -> kinds.stream()
                        .filter(k -> !m.isKnown() && k.name().equals(m.name()) && k.slots() == m.slots())
                        .findFirst()
                        .orElse(m))
                .toList();
    }

    /** Adds a kind of the crew's own, or takes the place of the one of that name that it added before. */
    Kit.Fixture add(Kit.Fixture wanted) {
        String what = wanted.piece().what();
        if (shipped.stream().anyMatch(f -> f.piece().what().equalsIgnoreCase(what))) {
            throw new Refusal("what", "%s ships with Oblume: give yours another name.".formatted(what));
        }
        if (wanted.piece().lamp() != null) {
            Mode.parse(wanted.piece().lamp().upkeep().modes());
        }
        Kit.Fixture fixture = new Kit.Fixture(wanted.kind(), wanted.piece(), wanted.beamDeg(), wanted.stack(), true);
        OwnFixtureEntity entity = own.findByWhat(what).orElseGet(() -> new OwnFixtureEntity(what));
        entity.describe(json.write(fixture));
        own.save(entity);
        return fixture;
    }

    /** Takes a kind of the crew's own out of the kit; what is placed of it stays as it is. */
    void remove(String what) {
        own.delete(own.findByWhat(what)
                .orElseThrow(() -> new NotFoundException("The crew has no kind called %s.".formatted(what))));
    }

    /**
     * Adds a crew's own items.
     *
     * @return what is wrong with their file, of which nothing is taken then; null when all is well
     */
    private static @Nullable String addOwn(Path file, Map<String, StockItem> stock) {
        if (!Files.isReadable(file)) {
            return null;
        }
        try {
            StockFile.read(text(file)).forEach(item -> stock.put(item.name(), item));
            return null;
        } catch (Refusal | UncheckedIOException wrong) {
            String problem = "Your own stock is not used. %s Mend %s and start again."
                    .formatted(wrong instanceof Refusal ? wrong.getMessage() : "It is not CSV that can be read.", file);
            LOG.warn(problem);
            return problem;
        }
    }

    static Reader shipped(String file) {
        return new InputStreamReader(
                Objects.requireNonNull(KitService.class.getResourceAsStream(file)), StandardCharsets.UTF_8);
    }

    private static Reader text(Path file) {
        try {
            return Files.newBufferedReader(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    static <T> List<T> rows(Reader csv, Function<CSVRecord, T> read) {
        return rows(csv, ',', read);
    }

    static <T> List<T> rows(Reader csv, char between, Function<CSVRecord, T> read) {
        try (csv) {
            List<T> rows = new ArrayList<>();
            for (CSVRecord row : TABLE.builder().setDelimiter(between).get().parse(csv)) {
                rows.add(read.apply(row));
            }
            return rows;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    static double number(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column).replace(',', '.'));
    }

    static @Nullable Double optional(CSVRecord row, String column) {
        return row.get(column).isEmpty() ? null : Double.valueOf(number(row, column));
    }
}
