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
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.network.Mode;
import org.oblume.core.plot.Piece;
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
    private final Map<String, StockItem> stock = new LinkedHashMap<>();
    private final @Nullable String problem;
    private final List<Kit.Fixture> shipped;
    private final Map<String, List<Mode>> shippedModes;
    private final OwnFixtureRepository own;
    private final RecordJson json;
    private final CommitCache<String, List<Kit.Fixture>> ownFixtures;

    KitService(@Value("${oblume.data}") Path data, OwnFixtureRepository own, RecordJson json, CommitCaches caches) {
        ownFixtures = caches.cache(1, (fixtures, changed) -> changed.part() == Part.KIT);
        this.own = own;
        this.json = json;
        StockFile.read(shipped("/kit/stock.csv")).forEach(item -> stock.put(item.name(), item));
        problem = addOwn(data.resolve(OWN_STOCK), stock);
        shipped = rows(shipped("/kit/fixtures.csv"), row -> FixtureFile.fixture(row, stock));
        shippedModes =
                shipped.stream().map(Kit.Fixture::piece).collect(Collectors.toUnmodifiableMap(Piece::what, Mode::of));
    }

    public Kit kit() {
        return new Kit(fixtures(), stock.values().stream().map(Kit.Stock::of).toList(), problem);
    }

    /** What can be hung and bounced off. */
    public List<StockItem> stock() {
        return List.copyOf(stock.values());
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
        try (csv) {
            List<T> rows = new ArrayList<>();
            for (CSVRecord row : TABLE.parse(csv)) {
                rows.add(read.apply(row));
            }
            return rows;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    static double number(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column));
    }

    static @Nullable Double optional(CSVRecord row, String column) {
        return row.get(column).isEmpty() ? null : Double.valueOf(row.get(column));
    }
}
