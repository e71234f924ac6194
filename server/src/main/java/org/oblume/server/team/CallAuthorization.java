package org.oblume.server.team;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import org.oblume.server.call.CallIntent;
import org.oblume.server.call.Permission;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.AuthenticationCredentialsNotFoundException;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Lets a call through when the person may do what stands on it, before its body is read. A call that says nothing is nobody's. */
@Configuration(proxyBeanMethods = false)
class CallAuthorization implements WebMvcConfigurer, HandlerInterceptor {

    private static final String OURS = "org.oblume.";
    private final TeamService team;

    CallAuthorization(TeamService team) {
        this.team = team;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getDispatcherType() != DispatcherType.REQUEST
                || !(handler instanceof HandlerMethod call)
                || !call.getBeanType().getName().startsWith(OURS)
                || CallIntent.isForAnyone(call)) {
            return true;
        }
        Permission needed = CallIntent.needs(call)
                .orElseThrow(() -> new IllegalStateException(call + " does not say what it needs."));
        Principal person = request.getUserPrincipal();
        if (person == null) {
            throw new AuthenticationCredentialsNotFoundException(
                    "You are not signed in here any more. Sign in to go on: what you typed is still there.");
        }
        team.require(person.getName(), needed);
        return true;
    }
}
