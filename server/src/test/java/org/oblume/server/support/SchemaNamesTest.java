package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The document calls a record by its simple name: two of one name would be one shape there, and one of them wrong. */
@ServerTest
class SchemaNamesTest {

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping calls;

    @Test
    void noTwoRecordsOnTheWireHaveOneName() {
        Set<Class<?>> onTheWire = new HashSet<>();
        for (HandlerMethod call : calls.getHandlerMethods().values()) {
            Method method = call.getMethod();
            reach(method.getGenericReturnType(), onTheWire);
            for (int i = 0; i < method.getParameterCount(); i++) {
                if (method.getParameters()[i].isAnnotationPresent(RequestBody.class)) {
                    reach(method.getGenericParameterTypes()[i], onTheWire);
                }
            }
        }
        TreeMap<String, Set<String>> byName = new TreeMap<>();
        onTheWire.forEach(type -> byName.computeIfAbsent(type.getSimpleName(), name -> new TreeSet<>())
                .add(type.getName()));
        assertThat(onTheWire).as("it looks at them").hasSizeGreaterThan(100);
        assertThat(byName.values().stream().filter(types -> types.size() > 1)).isEmpty();
    }

    private static void reach(Type type, Set<Class<?>> found) {
        if (type instanceof ParameterizedType generic) {
            List.of(generic.getActualTypeArguments()).forEach(part -> reach(part, found));
            reach(generic.getRawType(), found);
        } else if (type instanceof Class<?> one && one.getName().startsWith("org.oblume.") && !one.isEnum()) {
            if (one.isSealed()) {
                List.of(one.getPermittedSubclasses()).forEach(part -> reach(part, found));
            }
            if (one.isRecord() && found.add(one)) {
                for (RecordComponent component : one.getRecordComponents()) {
                    reach(component.getGenericType(), found);
                }
            }
        }
    }
}
