package org.oblume.server.team;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Permission;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.CommitCaches.CommitCache;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordSource.Part;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AuthenticationCredentialsNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Accounts and invitations. A role holds from the moment it is changed, in every session. */
@Service
@Transactional
public class TeamService {

    static final int LONGEST_NAME = 60;
    static final int LONGEST_PASSPHRASE = 200;
    private static final int SHORTEST_PASSPHRASE = 10;
    /** What bcrypt looks at; anything behind it would not count. */
    private static final int LONGEST_PASSPHRASE_BYTES = 72;

    private static final int TOKEN_BYTES = 24;
    private static final int MOST_MEMBERS = 500;
    private static final Duration INVITED_FOR = Duration.ofDays(3);
    private final SecureRandom random = new SecureRandom();
    private final AccountRepository accounts;
    private final InvitationRepository invitations;
    private final PasswordEncoder encoder;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final Clock clock;
    private final ReentrantLock leads = new ReentrantLock();
    private final CommitCache<String, Optional<Member>> members;

    TeamService(
            AccountRepository accounts,
            InvitationRepository invitations,
            PasswordEncoder encoder,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            Clock clock,
            CommitCaches caches) {
        this.members = caches.cache(MOST_MEMBERS, (member, changed) -> changed.part() == Part.TEAM);
        this.accounts = accounts;
        this.invitations = invitations;
        this.encoder = encoder;
        this.sessions = sessions;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public Optional<Member> member(String name) {
        return members.get(AccountEntity.key(name), key -> accounts.findByNameKeyAndRemovedFalse(key)
                .map(AccountEntity::toMember));
    }

    @Transactional(readOnly = true)
    public boolean hasPermission(String name, Permission what) {
        return member(name).map(m -> m.role().allows(what)).orElse(false);
    }

    /** @throws AccessDeniedException with a sentence, when the person's role does not allow it now */
    @Transactional(readOnly = true)
    public void require(String name, Permission what) {
        Member member = member(name)
                .orElseThrow(() -> new AuthenticationCredentialsNotFoundException(
                        "You do not work here any more: ask a lead. What you typed is still there."));
        if (!member.role().allows(what)) {
            throw new AccessDeniedException(
                    "%s has the role “%s”, which does not do this. Nothing was kept: ask a lead."
                            .formatted(member.name(), member.role().label()));
        }
    }

    @Transactional(readOnly = true)
    List<Member> members() {
        return accounts.findByRemovedFalseOrderById().stream()
                .map(AccountEntity::toMember)
                .toList();
    }

    @Transactional(readOnly = true)
    List<Invitation> openInvitations() {
        return invitations.findByTakenByNullAndExpiresAtAfterOrderById(clock.instant()).stream()
                .map(InvitationEntity::toInvitation)
                .toList();
    }

    @Transactional(readOnly = true)
    boolean nobodyYet() {
        return accounts.count() == 0;
    }

    /** The hash of someone's passphrase; empty when there is no such account, or one that has none. */
    @Transactional(readOnly = true)
    Optional<String> passphraseHash(String name) {
        return accounts.findByNameKeyAndRemovedFalse(AccountEntity.key(name)).map(AccountEntity::passphrase);
    }

    /** The lead's account, while there is no account at all. */
    Member first(String name, String passphrase) {
        oneAtATime();
        if (!nobodyYet()) {
            throw new Refusal("There is a lead already: ask for an invitation.");
        }
        return make(name, passphrase, TeamRole.LEAD);
    }

    /** An account without a passphrase, for the demo. */
    public void makeForDemo(String name, TeamRole role) {
        accounts.save(new AccountEntity(name, null, role));
    }

    /** @return the token of the link; it is not kept and cannot be shown again */
    String invite(TeamRole role, String by) {
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        invitations.save(
                new InvitationEntity(hash(token), role, by, clock.instant().plus(INVITED_FOR)));
        return token;
    }

    void withdraw(long invitationId) {
        invitations.deleteById(invitationId);
    }

    @Transactional(readOnly = true)
    TeamRole invitedAs(String token) {
        return open(token).role();
    }

    Member join(String token, String name, String passphrase) {
        InvitationEntity invitation = open(token);
        Member member = make(name, passphrase, invitation.role());
        invitation.takenBy(member.name());
        invitations.saveAndFlush(invitation);
        return member;
    }

    /** @throws EditConflict when somebody changed it since that version */
    Member changeRole(long id, TeamRole role, long version) {
        oneAtATime();
        AccountEntity account = account(id, version);
        requireAnotherLead(account.toMember(), role);
        account.setRole(role);
        return accounts.saveAndFlush(account).toMember();
    }

    void remove(long id, long version) {
        oneAtATime();
        AccountEntity account = account(id, version);
        requireAnotherLead(account.toMember(), null);
        account.remove();
        accounts.saveAndFlush(account);
        signOutEverywhere(account.toMember().name());
    }

    /** Whether a person signs in with that; anything will do for one of the demo's, who have none. */
    boolean isPassphrase(String name, String passphrase) {
        String kept = account(name).passphrase();
        return kept == null || encoder.matches(passphrase, kept);
    }

    /**
     * Ends every session of the person but one: who knew the old passphrase is out.
     *
     * @param here id of the session that goes on
     */
    void changePassphrase(String name, String next, String here) {
        AccountEntity account = account(name);
        account.setPassphrase(checked(next));
        accounts.save(account);
        sessions.findByPrincipalName(name).keySet().stream()
                .filter(id -> !id.equals(here))
                .forEach(sessions::deleteById);
    }

    private AccountEntity account(String name) {
        return accounts.findByNameKeyAndRemovedFalse(AccountEntity.key(name)).orElseThrow(TeamService::gone);
    }

    void signOutEverywhere(String name) {
        sessions.findByPrincipalName(name).keySet().forEach(sessions::deleteById);
    }

    private Member make(String name, String passphrase, TeamRole role) {
        String checked = Checks.text("Your name", name, LONGEST_NAME);
        if (accounts.existsByNameKey(AccountEntity.key(checked))) {
            throw new Refusal(
                    "name", "%s is taken: add what sets you apart, such as your department.".formatted(checked));
        }
        return accounts.saveAndFlush(new AccountEntity(checked, checked(passphrase), role))
                .toMember();
    }

    private String checked(String passphrase) {
        int bytes = passphrase.getBytes(StandardCharsets.UTF_8).length;
        if (passphrase.length() < SHORTEST_PASSPHRASE || bytes > LONGEST_PASSPHRASE_BYTES) {
            throw new Refusal(
                    "passphrase",
                    "Choose a passphrase of %d characters or more, at most %d bytes: a few words that you remember."
                            .formatted(SHORTEST_PASSPHRASE, LONGEST_PASSPHRASE_BYTES));
        }
        return encoder.encode(passphrase);
    }

    private InvitationEntity open(String token) {
        return invitations
                .findByTokenHash(hash(token))
                .filter(i -> i.open(clock.instant()))
                .orElseThrow(() ->
                        new NotFoundException("This invitation was used or has run out: ask the lead for another."));
    }

    private AccountEntity account(long id, long version) {
        AccountEntity account = accounts.findById(id).orElseThrow(TeamService::gone);
        if (account.toMember().version() != version) {
            throw new EditConflict(
                    "Someone changed this account since you opened it. Nothing of yours was kept yet.",
                    account.toMember());
        }
        return account;
    }

    private void requireAnotherLead(Member member, @Nullable TeamRole next) {
        boolean last = member.role() == TeamRole.LEAD
                && members().stream().filter(m -> m.role() == TeamRole.LEAD).count() == 1;
        if (last && next != TeamRole.LEAD) {
            throw new Refusal("role", "%s is the only lead: make someone else lead first.".formatted(member.name()));
        }
    }

    /** Whether there is a lead, and another one, is looked up and changed by one call at a time, until its transaction ends. */
    private void oneAtATime() {
        leads.lock();
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                leads.unlock();
            }
        });
    }

    private static NotFoundException gone() {
        return new NotFoundException("There is no such account any more.");
    }

    private static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
