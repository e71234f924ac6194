package org.oblume.server.inventory;

import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.KitUnit;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What units and counted stock can be found by. */
@Component
@Transactional(readOnly = true)
public class InventoryWords {

    private final KitUnitRepository units;
    private final CountedStockRepository counted;
    private final RecordJson json;

    InventoryWords(KitUnitRepository units, CountedStockRepository counted, RecordJson json) {
        this.units = units;
        this.counted = counted;
        this.json = json;
    }

    /** @param counted whether it is counted, or a unit with a tag */
    public record Item(long id, String text, boolean counted) {}

    public List<Item> of(long productionId) {
        return Stream.concat(
                        units.findByProductionIdOrderById(productionId).stream().map(row -> {
                            KitUnit unit = json.read(row.unit(), KitUnit.class);
                            return new Item(
                                    row.id(), words(unit.name(), unit.tag(), unit.what(), unit.packedIn()), false);
                        }),
                        counted.findByProductionIdOrderById(productionId).stream()
                                .map(row -> {
                                    CountedStock stock = json.read(row.item(), CountedStock.class);
                                    return new Item(row.id(), words(stock.what(), stock.packedIn()), true);
                                }))
                .toList();
    }

    private static String words(@Nullable String... parts) {
        return Stream.of(parts).filter(Objects::nonNull).collect(Collectors.joining(", "));
    }
}
