package org.oblume.server.support;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.BeanDescription;
import com.fasterxml.jackson.databind.DeserializationConfig;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.deser.BeanDeserializerModifier;
import com.fasterxml.jackson.databind.deser.std.DelegatingDeserializer;
import com.fasterxml.jackson.databind.exc.MismatchedInputException;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What a record of a request does not call nullable has to be in the request: left out, it is refused by its name. The bench tells what it
 * needs of each question itself.
 */
@Component
class RequiredComponentsModule extends SimpleModule {

    private static final long serialVersionUID = 1;
    private static final String OURS = "org.oblume.server.";
    private static final String BENCH = OURS + "bench.";

    RequiredComponentsModule() {
        super("nothing is left out");
        setDeserializerModifier(new BeanDeserializerModifier() {

            private static final long serialVersionUID = 1;

            @Override
            public JsonDeserializer<?> modifyDeserializer(
                    DeserializationConfig config, BeanDescription of, JsonDeserializer<?> read) {
                String name = of.getBeanClass().getName();
                return of.getBeanClass().isRecord() && name.startsWith(OURS) && !name.startsWith(BENCH)
                        ? new Checked(read, needed(of.getBeanClass()))
                        : read;
            }
        });
    }

    private static List<RecordComponent> needed(Class<?> type) {
        return Arrays.stream(type.getRecordComponents())
                .filter(c -> !c.getType().isPrimitive() && !c.getAnnotatedType().isAnnotationPresent(Nullable.class))
                .peek(c -> c.getAccessor().setAccessible(true))
                .toList();
    }

    private static final class Checked extends DelegatingDeserializer {

        private static final long serialVersionUID = 1;
        private final transient List<RecordComponent> needed;

        Checked(JsonDeserializer<?> read, List<RecordComponent> needed) {
            super(read);
            this.needed = needed;
        }

        @Override
        protected JsonDeserializer<?> newDelegatingInstance(JsonDeserializer<?> read) {
            return new Checked(read, needed);
        }

        @Override
        public @Nullable Object deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            Object value = super.deserialize(parser, context);
            for (RecordComponent component : value == null ? List.<RecordComponent>of() : needed) {
                if (isMissing(component, value)) {
                    throw JsonMappingException.wrapWithPath(
                            MismatchedInputException.from(parser, handledType(), "missing"),
                            value,
                            component.getName());
                }
            }
            return value;
        }

        private static boolean isMissing(RecordComponent component, Object of) {
            try {
                return component.getAccessor().invoke(of) == null;
            } catch (ReflectiveOperationException impossible) {
                throw new IllegalStateException(impossible);
            }
        }
    }
}
