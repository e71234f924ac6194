package org.oblume.server.team;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Changes;
import org.oblume.server.call.ForAnyone;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.BusyException;
import org.oblume.server.support.ProblemType;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and who one is. */
@RestController
class SessionController {

    /** Checked in place of an account's that is not there, so that both take as long. */
    private static final String NOBODYS = "{bcrypt}$2a$11$abcdefghijklmnopqrstuuNfZ1uYB4YyhHqXk4QxxZ5aWf3pRZ7Wq";

    private final TeamService team;
    private static final int LONGEST_QUEUE_S = 5;
    private final Semaphore hashing =
            new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() / 2), true);
    private final SignInAttempts attempts;
    private final PasswordEncoder encoder;
    private final SecurityContextRepository contexts;
    private final Environment environment;

    SessionController(
            TeamService team,
            SignInAttempts attempts,
            PasswordEncoder encoder,
            SecurityContextRepository contexts,
            Environment environment) {
        this.team = team;
        this.attempts = attempts;
        this.encoder = encoder;
        this.contexts = contexts;
        this.environment = environment;
    }

    record SignIn(String name, String passphrase) {}

    record DemoSignIn(TeamRole role) {}

    record NewPassphrase(String now, String next) {}

    /**
     * Who one is, and what one may do.
     *
     * @param name null while nobody is signed in
     * @param first whether there is no account at all yet
     * @param demo the roles that can be taken with one click, in the demo only
     */
    record SessionView(
            @Nullable String name,
            @Nullable TeamRole role,
            List<Permission> permissions,
            boolean first,
            List<TeamRole> demo) {}

    /** @param role that the invitation is for */
    record Invited(TeamRole role) {}

    @ForAnyone
    @GetMapping("/api/session")
    SessionView session(@Nullable Principal person, @Parameter(hidden = true) CsrfToken csrf) {
        csrf.getToken(); // sends its cookie
        return view(person == null ? null : team.member(person.getName()).orElse(null));
    }

    @ForAnyone
    @Changes({})
    @PostMapping("/api/session")
    SessionView signIn(@RequestBody SignIn wanted, HttpServletRequest request, HttpServletResponse response) {
        if (wanted.name().length() > TeamService.LONGEST_NAME
                || wanted.passphrase().length() > TeamService.LONGEST_PASSPHRASE) {
            throw new NotSignedIn(); // nobody is called that: nothing to work out or to remember
        }
        String hash = team.passphraseHash(wanted.name()).orElse(NOBODYS);
        SignInAttempts.From from = from(request, wanted.name(), hash);
        throttle(wanted.name(), from);
        if (!matches(wanted.passphrase(), hash)) {
            attempts.failed(wanted.name(), from);
            throw new NotSignedIn();
        }
        attempts.succeeded(wanted.name(), from);
        return begin(team.member(wanted.name()).orElseThrow(NotSignedIn::new), request, response);
    }

    /** Takes one of the demo's people, who need no passphrase. */
    @ForAnyone
    @Changes({})
    @PostMapping("/api/session/demo")
    SessionView demo(@RequestBody DemoSignIn wanted, HttpServletRequest request, HttpServletResponse response) {
        Member member = team.members().stream()
                .filter(m -> demoRoles().contains(m.role()) && m.role() == wanted.role())
                .findFirst()
                .orElseThrow(NotSignedIn::new);
        if (team.passphraseHash(member.name()).isPresent()) {
            throw new NotSignedIn();
        }
        return begin(member, request, response);
    }

    @ForAnyone
    @Changes({})
    @PostMapping("/api/session/first")
    SessionView first(@RequestBody SignIn wanted, HttpServletRequest request, HttpServletResponse response) {
        return begin(team.first(wanted.name(), wanted.passphrase()), request, response);
    }

    @ForAnyone
    @GetMapping("/api/invitations/{token}")
    Invited invitation(@PathVariable String token) {
        return new Invited(team.invitedAs(token));
    }

    @ForAnyone
    @Changes(Topic.TEAM)
    @PostMapping("/api/invitations/{token}")
    SessionView join(
            @PathVariable String token,
            @RequestBody SignIn wanted,
            HttpServletRequest request,
            HttpServletResponse response) {
        return begin(team.join(token, wanted.name(), wanted.passphrase()), request, response);
    }

    @Needs(Permission.READ)
    @Changes({})
    @PutMapping("/api/session/passphrase")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void passphrase(@RequestBody NewPassphrase wanted, Principal person, HttpServletRequest request) {
        SignInAttempts.From from = new SignInAttempts.From("the session of " + person.getName(), "");
        throttle(person.getName(), from);
        if (!team.isPassphrase(person.getName(), wanted.now())) {
            attempts.failed(person.getName(), from);
            throw new Refusal("passphrase", "That is not your passphrase now: type the one you signed in with.");
        }
        attempts.succeeded(person.getName(), from);
        team.changePassphrase(
                person.getName(), wanted.next(), request.getSession().getId());
    }

    private static SignInAttempts.From from(HttpServletRequest request, String name, String hash) {
        return new SignInAttempts.From(request.getRemoteAddr(), KnownDevice.of(request, name, hash));
    }

    /** To hash is made slow: so many at once, and the others wait, but not for ever. */
    private boolean matches(String passphrase, String hash) {
        boolean mine = false;
        try {
            mine = hashing.tryAcquire(LONGEST_QUEUE_S, TimeUnit.SECONDS);
            if (!mine) {
                throw new BusyException("Too many sign in at once");
            }
            return encoder.matches(passphrase, hash);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new BusyException("The server stops");
        } finally {
            if (mine) {
                hashing.release();
            }
        }
    }

    private void throttle(String name, SignInAttempts.From from) {
        Duration wait = attempts.wait(name, from);
        if (!wait.isZero()) {
            throw new Throttled(wait);
        }
    }

    @ForAnyone
    @Changes({})
    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
    }

    /** On this device and on every other. */
    @Needs(Permission.READ)
    @Changes({})
    @DeleteMapping("/api/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOutEverywhere(Principal person, HttpServletRequest request) {
        team.signOutEverywhere(person.getName());
        signOut(request);
    }

    /** A new session, so that one that was planted before is worth nothing. */
    private SessionView begin(Member member, HttpServletRequest request, HttpServletResponse response) {
        signOut(request);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(member.name(), null, List.of()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        team.passphraseHash(member.name())
                .ifPresent(hash -> KnownDevice.remember(request, response, member.name(), hash));
        return view(member);
    }

    private SessionView view(@Nullable Member member) {
        return new SessionView(
                member == null ? null : member.name(),
                member == null ? null : member.role(),
                member == null
                        ? List.of()
                        : member.role().allows().stream().sorted().toList(),
                team.nobodyYet(),
                demoRoles());
    }

    private List<TeamRole> demoRoles() {
        return environment.acceptsProfiles(Profiles.of("demo")) ? Arrays.asList(TeamRole.values()) : List.of();
    }

    private static final class NotSignedIn extends RuntimeException {}

    private static final class Throttled extends RuntimeException {

        private final transient Duration wait;

        Throttled(Duration wait) {
            this.wait = wait;
        }
    }

    @ExceptionHandler
    ProblemDetail notSignedIn(NotSignedIn wrong) {
        return ProblemType.NOT_ALLOWED.saying("The name and the passphrase do not go together: type both again.");
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> throttled(Throttled throttled) {
        long seconds = throttled.wait.toSeconds() + 1;
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, String.valueOf(seconds))
                .body(ProblemType.THROTTLED.saying(
                        "That was wrong several times: wait %d seconds, then try again.".formatted(seconds)));
    }
}
