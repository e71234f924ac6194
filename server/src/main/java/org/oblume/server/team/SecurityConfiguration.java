package org.oblume.server.team;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Permission;
import org.oblume.server.support.ProblemType;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** Who a call comes from. What each of ours needs stands on it ({@link org.oblume.server.call.Needs}); what is not ours is named here. */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {

    private static final String POLICY =
            "default-src 'self'; img-src 'self' data: blob:; style-src 'self'; script-src 'self'; connect-src 'self'; "
                    + "worker-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain calls(HttpSecurity http, TeamService team, SecurityContextRepository contexts)
            throws Exception {
        return http.authorizeHttpRequests(
                        calls -> calls.dispatcherTypeMatchers(DispatcherType.ASYNC, DispatcherType.ERROR)
                                .permitAll()
                                .requestMatchers("/v3/api-docs/**")
                                .access((person, call) -> decision(team, person.get(), Permission.READ))
                                .requestMatchers("/actuator/**")
                                .access((person, call) -> isOnThisMachine(call.getRequest())
                                        ? new AuthorizationDecision(true)
                                        : decision(team, person.get(), Permission.LEAD))
                                .anyRequest()
                                .permitAll())
                .securityContext(context -> context.securityContextRepository(contexts))
                .csrf(csrf -> csrf.csrfTokenRepository(CookieCsrfTokenRepository.withHttpOnlyFalse())
                        .csrfTokenRequestHandler(new CsrfTokenRequestAttributeHandler())
                        .ignoringRequestMatchers("/api/bench/**"))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(POLICY))
                        // a name that spoke https on this set may be spoken to by http on the next
                        .httpStrictTransportSecurity(strict -> strict.disable()))
                .requestCache(cache -> cache.disable())
                .anonymous(anonymous -> anonymous.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .exceptionHandling(refused -> refused.authenticationEntryPoint((request, response, cause) ->
                                ProblemType.NOT_SIGNED_IN.answer(response, "Sign in first: this is for the crew."))
                        .accessDeniedHandler((request, response, cause) -> {
                            if (cause instanceof CsrfException) {
                                ProblemType.PASS_CHANGED.answer(
                                        response,
                                        "Reload the page and try again: this device's pass for edits has changed.");
                            } else {
                                ProblemType.NOT_ALLOWED.answer(
                                        response, "This is for a lead, or on the machine itself.");
                            }
                        }))
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

    /** Calls are timed as a whole; timing each filter of security would cost more than some calls take. */
    @Bean
    SecurityObservationSettings noObservations() {
        return SecurityObservationSettings.noObservations();
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

    private static AuthorizationDecision decision(
            TeamService team, @Nullable Authentication someone, Permission needed) {
        return new AuthorizationDecision(someone != null && team.hasPermission(someone.getName(), needed));
    }

    private static boolean isOnThisMachine(HttpServletRequest request) {
        try {
            return InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException noAddress) {
            return false;
        }
    }
}
