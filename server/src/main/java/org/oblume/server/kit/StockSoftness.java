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
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.springframework.stereotype.Component;

/**
 * What was hung before softness was recorded with it is as soft as the stock that ships has the item of its name; of an item that it does
 * not have, nothing goes straight through.
 */
@Component
class StockSoftness extends SimpleModule {

    private static final long serialVersionUID = 1;

    private static final Map<String, Double> SHIPPED = StockFile.read(KitService.shipped("/kit/stock.csv")).stream()
            .collect(Collectors.toUnmodifiableMap(StockItem::name, StockItem::softness));

    /** The same stack without what is read back from the names in it. */
    static Modifiers byName(Modifiers stack) {
        return new Modifiers(stack.items().stream()
                .map(m -> m.softens() && Objects.equals(m.softness(), SHIPPED.get(m.name())) ? m.softAs(null) : m)
                .toList());
    }

    StockSoftness() {
        super("softness by the stock");
        setDeserializerModifier(new BeanDeserializerModifier() {

            private static final long serialVersionUID = 1;

            @Override
            public JsonDeserializer<?> modifyDeserializer(
                    DeserializationConfig config, BeanDescription of, JsonDeserializer<?> read) {
                return of.getBeanClass() == Modifier.class ? new Known(read) : read;
            }
        });
    }

    private static final class Known extends DelegatingDeserializer {

        private static final long serialVersionUID = 1;

        Known(JsonDeserializer<?> read) {
            super(read);
        }

        @Override
        protected JsonDeserializer<?> newDelegatingInstance(JsonDeserializer<?> read) {
            return new Known(read);
        }

        @Override
        public @Nullable Object deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            Object value = super.deserialize(parser, context);
            return value instanceof Modifier item && item.softens() && item.softness() == null
                    ? item.softAs(SHIPPED.get(item.name()))
                    : value;
        }
    }
}
