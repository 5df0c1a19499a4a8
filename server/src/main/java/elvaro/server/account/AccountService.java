package elvaro.server.account;

import elvaro.core.working.Units;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
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
    private final AccountRepository accounts;
    private final SignInDirectory directory;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final PasswordEncoder encoder;
    private final Passwords passwords;
    private final SignInLimit limit;
    private final ApplicationEventPublisher events;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    /** A hash nothing is known to match; made once, since it takes long and an archive may have many names. */
    private volatile @Nullable String nobodysPassword;

    AccountService(
            AccountRepository accounts,
            SignInDirectory directory,
            WorkshopService workshops,
            CurrentWorkshop current,
            PasswordEncoder encoder,
            Passwords passwords,
            SignInLimit limit,
            ApplicationEventPublisher events,
            FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.accounts = accounts;
        this.directory = directory;
        this.workshops = workshops;
        this.current = current;
        this.encoder = encoder;
        this.passwords = passwords;
        this.limit = limit;
        this.events = events;
        this.sessions = sessions;
    }

    @Transactional(readOnly = true)
    public Account me() {
        return get(current.person().accountId());
    }

    /** How paper is written for the signed-in person. */
    @Transactional(readOnly = true)
    public Units units() {
        return units(me().id(), LocaleContextHolder.getLocale());
    }

    /** How somebody is written to. */
    @Transactional(readOnly = true)
    public Units units(UUID id, Locale device) {
        return get(id).preferences()
                .units(Currency.getInstance(workshops.settings().currency()), device);
    }

    /** How the signed-in person wants to see things. */
    @Transactional(readOnly = true)
    public Preferences preferences() {
        return me().preferences();
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

    @Transactional(readOnly = true)
    public PersonView person(UUID id) {
        return get(id).view();
    }

    /** Names by account, for the log. */
    @Transactional(readOnly = true)
    public Map<UUID, String> names() {
        return accounts.all().stream().collect(Collectors.toMap(Account::id, Account::name));
    }

    /** Adds a person who has still to choose a password; a retry of the same request finds them there. */
    public PersonView add(UUID id, String signInName, String name, Role role) {
        return add(id, signInName, name, role, this::nobodysPassword);
    }

    /** The same with a password. */
    public PersonView add(UUID id, String signInName, String name, Role role, String password) {
        return add(id, signInName, name, role, () -> passwords.hashed(password, signInName, name, houseName()));
    }

    private PersonView add(UUID id, String signInName, String name, Role role, Supplier<String> hash) {
        workshops.lock();
        var known = accounts.findById(id);
        if (known.isPresent()) {
            return known.get().view();
        }
        if (directory.isTaken(signInName)) {
            throw Refusal.wrong("name-taken", "signInName", "That sign-in name is taken. Choose another.");
        }
        return accounts.save(new Account(id, SignInDirectory.canonical(signInName), name, role, hash.get()))
                .view();
    }

    private String houseName() {
        return workshops.settings().name();
    }

    private String nobodysPassword() {
        if (nobodysPassword == null) {
            nobodysPassword = encoder.encode(UUID.randomUUID().toString());
        }
        return nobodysPassword;
    }

    /** Adds somebody who wrote things down elsewhere: a name for the log, which opens nothing. */
    public void remember(UUID id, String name) {
        Account account = new Account(id, id.toString(), name, Role.BENCH_HAND, nobodysPassword());
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

    /** @throws Refusal if the workshop has no such person */
    void mustBeHere(UUID id) {
        get(id);
    }

    /** Of somebody who proved to be that person. @return the name they sign in with */
    String choosePassword(UUID id, String password) {
        Account account = get(id);
        account.setPasswordHash(passwords.hashed(password, account.signInName(), account.name(), houseName()));
        accounts.save(account);
        endSessions(id);
        events.publishEvent(new PasswordChanged(id));
        return account.signInName();
    }

    public void changeOwnPassword(String old, String password) {
        mustKnowPassword(old);
        choosePassword(me().id(), password);
    }

    /** @throws Refusal if it is not the signed-in person's, or was asked for too often */
    void mustKnowPassword(String password) {
        Account me = me();
        if (!limit.allowsPassword(me.id().toString())) {
            throw Refusal.tooMany("Too many attempts. Wait a quarter of an hour and try again.");
        }
        if (!encoder.matches(password, me.passwordHash())) {
            throw Refusal.wrong("wrong-password", "oldPassword", "That is not your present password.");
        }
        limit.forgivePassword(me.id().toString());
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
}
