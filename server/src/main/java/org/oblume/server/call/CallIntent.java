package org.oblume.server.call;

import java.lang.annotation.Annotation;
import java.util.Optional;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.method.HandlerMethod;

/** Reads what stands on a call: on its method, else on its controller. */
public final class CallIntent {

    private CallIntent() {}

    /** What it needs; empty when anyone may call it, or nothing is said. */
    public static Optional<Permission> needs(HandlerMethod call) {
        return isForAnyone(call) ? Optional.empty() : find(call, Needs.class).map(Needs::value);
    }

    /** Whether anyone may call it. What its method says goes before what its controller says. */
    public static boolean isForAnyone(HandlerMethod call) {
        return !call.hasMethodAnnotation(Needs.class)
                && find(call, ForAnyone.class).isPresent();
    }

    public static boolean asks(HandlerMethod call) {
        return find(call, Asks.class).isPresent();
    }

    public static Optional<Changes> changes(HandlerMethod call) {
        return Optional.ofNullable(call.getMethodAnnotation(Changes.class));
    }

    private static <A extends Annotation> Optional<A> find(HandlerMethod call, Class<A> type) {
        return Optional.ofNullable(call.getMethodAnnotation(type))
                .or(() -> Optional.ofNullable(AnnotatedElementUtils.findMergedAnnotation(call.getBeanType(), type)));
    }
}
