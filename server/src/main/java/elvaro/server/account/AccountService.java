package elvaro.server.account;

import elvaro.core.working.Units;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.nio.charset.StandardCharsets;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the workshop. */
@Service
@Transactional
public class AccountService {
    private static final int SHORTEST_PASSWORD = 10;
    /** bcrypt reads no further. */
    private static final int LONGEST_PASSWORD_BYTES = 72;

    private final AccountRepository accounts;
    private final SignInDirectory directory;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final PasswordEncoder encoder;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    /** A hash nothing is known to match; made once, since it takes long and an archive may have many names. */
    private volatile @Nullable String nobodysPassword;

    AccountService(
            AccountRepository accounts,
            SignInDirectory directory,
            WorkshopService workshops,
            CurrentWorkshop current,
            PasswordEncoder encoder,
            FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.accounts = accounts;
        this.directory = directory;
        this.workshops = workshops;
        this.current = current;
        this.encoder = encoder;
        this.sessions = sessions;
    }

    @Transactional(readOnly = true)
    public Account me() {
        return get(current.person().accountId());
    }

    /** How paper is written for the signed-in person. */
    @Transactional(readOnly = true)
    public Units units() {
        return me().preferences()
                .units(Currency.getInstance(workshops.settings().currency()), LocaleContextHolder.getLocale());
    }

    public Preferences prefer(Preferences preferences) {
        Account me = me();
        me.prefer(preferences);
        accounts.save(me);
        return me.preferences();
    }

    @Transactional(readOnly = true)
    public List<PersonView> people() {
        return accounts.all().stream().map(Account::view).toList();
    }

    /** Names by account, for the log. */
    @Transactional(readOnly = true)
    public Map<UUID, String> names() {
        return accounts.all().stream().collect(Collectors.toMap(Account::id, Account::name));
    }

    /** Adds a person; a retry of the same request finds them there. */
    public PersonView add(UUID id, String signInName, String name, Role role, String password) {
        workshops.lock();
        var known = accounts.findById(id);
        if (known.isPresent()) {
            return known.get().view();
        }
        if (directory.isTaken(signInName)) {
            throw Refusal.wrong("name-taken", "signInName", "That sign-in name is taken. Choose another.");
        }
        String hash = encoder.encode(checked(password));
        return accounts.save(new Account(id, SignInDirectory.canonical(signInName), name, role, hash))
                .view();
    }

    /** Adds somebody who wrote things down elsewhere: a name for the log, which opens nothing. */
    public void remember(UUID id, String name) {
        if (nobodysPassword == null) {
            nobodysPassword = encoder.encode(UUID.randomUUID().toString());
        }
        Account account = new Account(id, id.toString(), name, Role.BENCH_HAND, nobodysPassword);
        account.change(name, Role.BENCH_HAND, false);
        accounts.save(account);
        accounts.flush(); // what they wrote is put in with plain SQL
    }

    /**
     * Changes what a person is called and may do. Their sessions end, so that the change holds at once.
     *
     * @throws Refusal if the workshop would be left without an owner
     */
    public PersonView change(UUID id, int version, String name, Role role, boolean active) {
        workshops.lock();
        Account account = get(id);
        account.mustStillBe(version);
        account.change(name, role, active);
        if (accounts.all().stream().noneMatch(each -> each.active() && each.role() == Role.OWNER)) {
            throw Refusal.conflict("last-owner", "The workshop needs at least one owner who can sign in.");
        }
        accounts.save(account);
        endSessions(id);
        return account.view();
    }

    /** Gives a person a new password, set by an owner. */
    public void resetPassword(UUID id, String password) {
        Account account = get(id);
        account.setPasswordHash(encoder.encode(checked(password)));
        accounts.save(account);
        endSessions(id);
    }

    public void changeOwnPassword(String old, String password) {
        Account me = me();
        if (!encoder.matches(old, me.passwordHash())) {
            throw Refusal.wrong("wrong-password", "oldPassword", "That is not your present password.");
        }
        resetPassword(me.id(), password);
    }

    public SignedIn asSignedIn(Account account, UUID workshopId) {
        return new SignedIn(account.id(), workshopId, account.role(), account.active(), null);
    }

    private Account get(UUID id) {
        return accounts.findById(id).orElseThrow(() -> Refusal.notFound("person"));
    }

    private void endSessions(UUID id) {
        sessions.findByPrincipalName(id.toString()).keySet().forEach(sessions::deleteById);
    }

    private static String checked(String password) {
        if (password.length() < SHORTEST_PASSWORD) {
            throw Refusal.wrong(
                    "short-password",
                    "password",
                    "A password needs at least %d characters; a few words do well.".formatted(SHORTEST_PASSWORD));
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST_PASSWORD_BYTES) {
            throw Refusal.wrong("long-password", "password", "A password has at most 72 bytes.");
        }
        return password;
    }
}
