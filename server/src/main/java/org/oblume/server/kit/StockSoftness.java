package org.oblume.server.kit;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.BeanDescription;
import com.fasterxml.jackson.databind.DeserializationConfig;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.deser.BeanDeserializerModifier;
import com.fasterxml.jackson.databind.deser.std.DelegatingDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.plot.Modifier;
import org.springframework.stereotype.Component;

/**
 * What was hung before softness was recorded with it is as soft as the stock that ships has the item of its name; of an item that it does
 * not have, nothing goes straight through.
 */
@Component
class StockSoftness extends SimpleModule {

    private static final long serialVersionUID = 1;

    StockSoftness() {
        super("softness by the stock");
        Map<String, Double> stock = StockFile.read(KitService.shipped("/kit/stock.csv")).stream()
                .collect(Collectors.toUnmodifiableMap(StockItem::name, StockItem::softness));
        setDeserializerModifier(new BeanDeserializerModifier() {

            private static final long serialVersionUID = 1;

            @Override
            public JsonDeserializer<?> modifyDeserializer(
                    DeserializationConfig config, BeanDescription of, JsonDeserializer<?> read) {
                return of.getBeanClass() == Modifier.class ? new Known(read, stock) : read;
            }
        });
    }

    private static final class Known extends DelegatingDeserializer {

        private static final long serialVersionUID = 1;
        private final transient Map<String, Double> stock;

        Known(JsonDeserializer<?> read, Map<String, Double> stock) {
            super(read);
            this.stock = stock;
        }

        @Override
        protected JsonDeserializer<?> newDelegatingInstance(JsonDeserializer<?> read) {
            return new Known(read, stock);
        }

        @Override
        public @Nullable Object deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            Object value = super.deserialize(parser, context);
            return value instanceof Modifier item && item.softens() && item.softness() == null
                    ? item.softAs(stock.get(item.name()))
                    : value;
        }
    }
}
