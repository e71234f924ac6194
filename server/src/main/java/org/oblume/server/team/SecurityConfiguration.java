package org.oblume.server.team;

import static org.springframework.http.HttpMethod.DELETE;
import static org.springframework.http.HttpMethod.GET;
import static org.springframework.http.HttpMethod.HEAD;
import static org.springframework.http.HttpMethod.POST;
import static org.springframework.http.HttpMethod.PUT;

import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** What each call needs. What is not named here needs the right to edit. */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {

    private static final String POLICY =
            "default-src 'self'; img-src 'self' data: blob:; style-src 'self'; script-src 'self'; connect-src 'self'; "
                    + "worker-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain calls(
            HttpSecurity http, TeamService team, ObjectMapper json, SecurityContextRepository contexts)
            throws Exception {
        return http.authorizeHttpRequests(calls -> calls.dispatcherTypeMatchers(
                                DispatcherType.ASYNC, DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers(
                                "/api/session",
                                "/api/session/demo",
                                "/api/session/first",
                                "/api/invitations/*",
                                "/api/bench/**")
                        .permitAll()
                        .requestMatchers("/api/session/**", "/api/sessions", "/api/live/**")
                        .access(may(team, Permission.READ))
                        .requestMatchers("/api/team/**")
                        .access(may(team, Permission.LEAD))
                        .requestMatchers(GET, "/api/**")
                        .access(may(team, Permission.READ))
                        .requestMatchers(HEAD, "/api/**")
                        .access(may(team, Permission.READ))
                        .requestMatchers(
                                POST,
                                "/api/shots/*/light",
                                "/api/shots/*/say",
                                "/api/shots/*/arrange",
                                "/api/sets/paces",
                                "/api/sets/underlay",
                                "/api/kit/beam",
                                "/api/shots/*/runs/fit",
                                "/api/runs/*/steps/*/tapes",
                                "/api/shots/*/readings/read",
                                "/api/shots/*/agree",
                                "/api/shots/*/patch/plan",
                                "/api/shots/*/patch/read",
                                "/api/output/stop")
                        .access(may(team, Permission.READ))
                        .requestMatchers(POST, "/api/runs/*/sign")
                        .access(may(team, Permission.LEAD))
                        .requestMatchers(
                                "/api/shots/*/rebuild/*",
                                "/api/shots/*/runs",
                                "/api/runs/**",
                                "/api/shots/*/readings",
                                "/api/readings/*",
                                "/api/moves/ticks",
                                "/api/notes/**",
                                "/api/*/*/notes",
                                "/api/*/*/photos",
                                "/api/shots/*/takes",
                                "/api/takes/*")
                        .access(may(team, Permission.NOTE))
                        .requestMatchers(PUT, "/api/shots/*/placements/*/PATCH", "/api/shots/*/placements/*/MENU")
                        .access(may(team, Permission.PATCH))
                        .requestMatchers(DELETE, "/api/shots/*/placements/*/PATCH", "/api/shots/*/placements/*/MENU")
                        .access(may(team, Permission.PATCH))
                        .requestMatchers(
                                "/api/productions/*/nodes",
                                "/api/nodes/*",
                                "/api/output/**",
                                "/api/rig/**",
                                "/api/shots/*/recall",
                                "/api/shots/*/readback")
                        .access(may(team, Permission.PATCH))
                        .requestMatchers(POST, "/api/shots/*/knots", "/api/shots/*/undo", "/api/shots/*/redo")
                        .access(may(team, Permission.PATCH))
                        .requestMatchers("/api/**")
                        .access(may(team, Permission.EDIT))
                        .anyRequest()
                        .permitAll())
                .securityContext(context -> context.securityContextRepository(contexts))
                .csrf(csrf -> csrf.csrfTokenRepository(CookieCsrfTokenRepository.withHttpOnlyFalse())
                        .csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler())
                        .ignoringRequestMatchers("/api/bench/**"))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(POLICY)))
                .requestCache(cache -> cache.disable())
                .anonymous(anonymous -> anonymous.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .exceptionHandling(refused -> refused.authenticationEntryPoint(
                                (request, response, cause) -> answer(
                                        json,
                                        response,
                                        HttpStatus.UNAUTHORIZED,
                                        "You are not signed in here any more. Sign in to go on: what you typed is still there."))
                        .accessDeniedHandler((request, response, cause) ->
                                answer(json, response, HttpStatus.FORBIDDEN, denied(team, request))))
                .build();
    }

    /** When a session was last used is kept to the minute: otherwise every read would be a write that waits for the disk. */
    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> coarseLastAccess() {
        return sessions -> sessions.setUpdateSessionQuery(
                """
                UPDATE SPRING_SESSION SET SESSION_ID = ?, LAST_ACCESS_TIME = ?, MAX_INACTIVE_INTERVAL = ?, EXPIRY_TIME = ?, PRINCIPAL_NAME = ?
                WHERE PRIMARY_ID = ? AND LAST_ACCESS_TIME < (EXTRACT(EPOCH FROM CURRENT_TIMESTAMP) - 60) * 1000""");
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwordEncoder(@Value("${oblume.password-rounds}") int rounds) {
        return new DelegatingPasswordEncoder("bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(rounds)));
    }

    /** There is one, so that Spring Boot makes up no account of its own; signing in goes through {@link SessionController}. */
    @Bean
    UserDetailsService noOtherAccounts() {
        return name -> {
            throw new UsernameNotFoundException(name);
        };
    }

    private static AuthorizationManager<RequestAuthorizationContext> may(TeamService team, Permission what) {
        return (person, call) -> {
            var someone = person.get();
            return new AuthorizationDecision(someone != null && team.hasPermission(someone.getName(), what));
        };
    }

    private static String denied(TeamService team, HttpServletRequest request) {
        Principal person = request.getUserPrincipal();
        return team.member(person == null ? "" : person.getName())
                .map(m -> "%s has the role “%s”, which does not do this. Nothing was kept: ask a lead."
                        .formatted(m.name(), m.role().label()))
                .orElse("Reload the page and try again: this device's pass for edits has changed.");
    }

    private static void answer(ObjectMapper json, HttpServletResponse response, HttpStatus status, String sentence)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        json.writeValue(response.getOutputStream(), ProblemDetail.forStatusAndDetail(status, sentence));
    }
}
