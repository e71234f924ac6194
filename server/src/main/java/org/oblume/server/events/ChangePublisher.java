package org.oblume.server.events;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.CallIntent;
import org.oblume.server.call.Changes;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Publishes what a call changed, once it is kept: by what stands on it. */
@Configuration(proxyBeanMethods = false)
class ChangePublisher implements WebMvcConfigurer, HandlerInterceptor {

    /** Request header with the name of the device that calls. */
    static final String DEVICE = "Oblume-Device";

    private final ApplicationEventPublisher events;

    ChangePublisher(ApplicationEventPublisher events) {
        this.events = events;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    /** Its transaction was committed before the answer was written. */
    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failure) {
        Principal person = request.getUserPrincipal();
        if (person == null
                || failure != null
                || response.getStatus() >= HttpServletResponse.SC_BAD_REQUEST
                || !(handler instanceof HandlerMethod call)) {
            return;
        }
        CallIntent.changes(call)
                .map(Changes::value)
                .filter(topics -> topics.length > 0)
                .ifPresent(topics -> events.publishEvent(new RecordChanged(
                        List.of(topics),
                        id(request, "shotId"),
                        id(request, "sceneId"),
                        person.getName(),
                        request.getHeader(DEVICE))));
    }

    private static @Nullable Long id(HttpServletRequest request, String name) {
        return request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> parts
                        && parts.get(name) instanceof String id
                ? Long.valueOf(id)
                : null;
    }
}
