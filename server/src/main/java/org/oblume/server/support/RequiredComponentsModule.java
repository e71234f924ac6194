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
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What a record of a request does not call nullable has to be in the request, and in each place of a list: left out, it is refused by its
 * name. The bench tells what it needs of each question itself.
 */
@Component
class RequiredComponentsModule extends SimpleModule {

    private static final long serialVersionUID = 1;
    private static final String OURS = "org.oblume.";
    private static final String BENCH = OURS + "server.bench.";

    RequiredComponentsModule() {
        super("nothing is left out");
        setDeserializerModifier(new BeanDeserializerModifier() {

            private static final long serialVersionUID = 1;

            @Override
            public JsonDeserializer<?> modifyDeserializer(
                    DeserializationConfig config, BeanDescription of, JsonDeserializer<?> read) {
                String name = of.getBeanClass().getName();
                return of.getBeanClass().isRecord() && name.startsWith(OURS) && !name.startsWith(BENCH)
                        ? new Checked(read, needed(of.getBeanClass()), whole(of.getBeanClass()))
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

    /** Lists that have no gaps. */
    private static List<RecordComponent> whole(Class<?> type) {
        return Arrays.stream(type.getRecordComponents())
                .filter(c -> c.getType() == List.class
                        && c.getAnnotatedType() instanceof AnnotatedParameterizedType list
                        && !list.getAnnotatedActualTypeArguments()[0].isAnnotationPresent(Nullable.class))
                .peek(c -> c.getAccessor().setAccessible(true))
                .toList();
    }

    private static final class Checked extends DelegatingDeserializer {

        private static final long serialVersionUID = 1;
        private final transient List<RecordComponent> needed;
        private final transient List<RecordComponent> whole;

        Checked(JsonDeserializer<?> read, List<RecordComponent> needed, List<RecordComponent> whole) {
            super(read);
            this.needed = needed;
            this.whole = whole;
        }

        @Override
        protected JsonDeserializer<?> newDelegatingInstance(JsonDeserializer<?> read) {
            return new Checked(read, needed, whole);
        }

        @Override
        public @Nullable Object deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            Object value = super.deserialize(parser, context);
            if (value == null) {
                return null;
            }
            for (RecordComponent component : needed) {
                if (of(component, value) == null) {
                    throw missing(parser, value, component);
                }
            }
            for (RecordComponent component : whole) {
                if (of(component, value) instanceof List<?> list
                        && list.stream().anyMatch(Objects::isNull)) {
                    throw missing(parser, value, component);
                }
            }
            return value;
        }

        private JsonMappingException missing(JsonParser parser, Object of, RecordComponent component) {
            return JsonMappingException.wrapWithPath(
                    MismatchedInputException.from(parser, handledType(), "missing"), of, component.getName());
        }

        private static @Nullable Object of(RecordComponent component, Object of) {
            try {
                return component.getAccessor().invoke(of);
            } catch (ReflectiveOperationException impossible) {
                throw new IllegalStateException(impossible);
            }
        }
    }
}
