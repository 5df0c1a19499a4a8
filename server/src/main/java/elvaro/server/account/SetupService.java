package elvaro.server.account;

import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The first visit to an empty house: a one-time code, printed where the house was started, makes the owner's account.
 */
@Service
@Order(SetupService.AFTER_THE_DEMO)
public class SetupService implements ApplicationRunner {
    static final int AFTER_THE_DEMO = 100;
    private static final int CODE_GROUPS = 3;

    private final SignInDirectory directory;
    private final AccountService accounts;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final JdbcClient database;
    private final PasswordEncoder encoder;
    private final TransactionTemplate transaction;

    SetupService(
            SignInDirectory directory,
            AccountService accounts,
            WorkshopService workshops,
            CurrentWorkshop current,
            JdbcClient database,
            PasswordEncoder encoder,
            TransactionTemplate transaction) {
        this.directory = directory;
        this.accounts = accounts;
        this.workshops = workshops;
        this.current = current;
        this.database = database;
        this.encoder = encoder;
        this.transaction = transaction;
    }

    public boolean isNeeded() {
        return directory.isEmpty();
    }

    /** Prints a fresh code while there is nobody; the launcher shows it. */
    @Override
    public void run(ApplicationArguments arguments) {
        if (!isNeeded()) {
            return;
        }
        String code = TypedCode.fresh(CODE_GROUPS);
        database.sql("replace into setup_code (id, code_hash) values (1, ?)")
                .param(encoder.encode(TypedCode.read(code)))
                .update();
        System.out.println("One-time code for the first visit: " + code);
    }

    /** A workshop's first owner, as they will sign in. */
    public record Owner(String signInName, String name, String password) {}

    /** Makes a workshop and its owner, for whoever has the right to. */
    public SignedIn createWorkshop(WorkshopSettings settings, Owner owner) {
        return create(settings, owner, Preferences.STARTING, () -> {});
    }

    /**
     * Makes the first workshop and uses the code up.
     *
     * @param measures the owner thinks in; absent for metric ones
     * @throws Refusal if the code is wrong or used
     */
    public void setUp(String code, WorkshopSettings settings, Owner owner, Preferences.@Nullable Measures measures) {
        Preferences preferences = measures == null ? Preferences.STARTING : measures.preferences();
        create(settings, owner, preferences, () -> useUp(code));
    }

    /** All in one transaction, opened for the new workshop, since Hibernate binds a session to one when it opens. */
    private SignedIn create(WorkshopSettings settings, Owner owner, Preferences preferences, Runnable permission) {
        SignedIn person = new SignedIn(UUID.randomUUID(), UUID.randomUUID(), Role.OWNER, true, null);
        return current.actingAs(person, () -> {
            transaction.executeWithoutResult(status -> {
                permission.run();
                workshops.create(person.workshopId(), settings);
                accounts.add(person.accountId(), owner.signInName(), owner.name(), Role.OWNER, owner.password());
                accounts.prefer(preferences);
            });
            return person;
        });
    }

    private void useUp(String code) {
        String hash = database.sql("select code_hash from setup_code where id = 1 for update")
                .query(String.class)
                .optional()
                .orElseThrow(SetupService::wrongCode);
        if (!isNeeded() || !encoder.matches(TypedCode.read(code), hash)) {
            throw wrongCode();
        }
        database.sql("delete from setup_code").update();
    }

    private static Refusal wrongCode() {
        return Refusal.wrong(
                "wrong-code",
                "code",
                "That is not the code printed where Elvaro was started. Starting it again prints a new one.");
    }
}
