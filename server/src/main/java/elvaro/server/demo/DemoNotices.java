package elvaro.server.demo;

import elvaro.core.notice.NoticeKind;
import elvaro.server.account.AccountService;
import elvaro.server.account.PersonView;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.channel.PushChannel.Browser;
import elvaro.server.notice.DemoWays;
import elvaro.server.notice.NoticeHistory;
import elvaro.server.notice.NoticeHistory.TookOver;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * How the invented people are told: by the simulated mailboxes and phones, where these run beside the demo; and what two
 * nights would have told them, the larder's whose probe fell silent and the pantry's whose compressor failed.
 */
@Component
@Order(DemoNotices.AFTER_THE_DEMO)
class DemoNotices implements ApplicationRunner {
    static final int AFTER_THE_DEMO = 100;

    private final boolean wanted;
    private final String inbox;
    private final DemoWays ways;
    private final NoticeHistory history;
    private final AccountService accounts;
    private final ChamberService chambers;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final JdbcClient database;
    private final TransactionTemplate transaction;

    DemoNotices(
            @Value("${elvaro.demo}") boolean wanted,
            @Value("${elvaro.demo-inbox}") String inbox,
            DemoWays ways,
            NoticeHistory history,
            AccountService accounts,
            ChamberService chambers,
            WorkshopService workshops,
            CurrentWorkshop current,
            JdbcClient database,
            TransactionTemplate transaction) {
        this.wanted = wanted;
        this.inbox = inbox;
        this.ways = ways;
        this.history = history;
        this.accounts = accounts;
        this.chambers = chambers;
        this.workshops = workshops;
        this.current = current;
        this.database = database;
        this.transaction = transaction;
    }

    /** At every start: the simulated mail server may listen elsewhere than before. */
    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        if (!wanted) {
            return;
        }
        Properties reached = new Properties();
        if (!inbox.isEmpty()) {
            try (var in = Files.newBufferedReader(Path.of(inbox))) {
                reached.load(in);
            }
        }
        database.sql("select a.id, a.workshop_id from account a where a.sign_in_name = ?")
                .param(Scenario.PEOPLE.get(0).signInName())
                .query((row, number) -> new SignedIn(
                        UUID.fromString(row.getString(1)), UUID.fromString(row.getString(2)), Role.OWNER, true, null))
                .optional()
                .ifPresent(owner -> current.actingAs(owner, () -> {
                    List<UUID> told = new ArrayList<>();
                    transaction.executeWithoutResult(status -> told.addAll(tell(reached)));
                    if (!reached.isEmpty()) {
                        told.forEach(ways::handOver);
                    }
                    return owner;
                }));
    }

    private List<UUID> tell(Properties reached) {
        Map<String, PersonView> people = new HashMap<>();
        accounts.people()
                .forEach(person -> people.put(person.name().split(" ")[0].toLowerCase(Locale.ROOT), person));
        if (!reached.isEmpty()) {
            Map<PersonView, Browser> phones = new HashMap<>();
            people.forEach((name, person) -> {
                String[] phone = reached.getProperty(name, "").split(" ");
                if (phone.length == 3) {
                    phones.put(person, new Browser(phone[0], phone[1], phone[2]));
                }
            });
            ways.connect(Integer.parseInt(reached.getProperty("mail")), phones);
        }
        if (ways.wasTold()) {
            return List.of();
        }
        HouseClock house = workshops.mine().clock();
        Map<String, Chamber> rooms = new HashMap<>();
        chambers.all().forEach(chamber -> rooms.put(chamber.name(), chamber));
        Instant silent = Weather.probeSilent(house, workshops.today());
        Instant failed = Weather.compressorFailed(house, workshops.today());
        List<UUID> told = new ArrayList<>(history.tell(
                rooms.get("Game larder"),
                NoticeKind.SILENT,
                silent,
                silent.plus(Duration.ofHours(10)),
                new TookOver(people.get("idris").id(), Duration.ofMinutes(7))));
        told.addAll(history.tell(
                rooms.get("Pantry fridge"),
                NoticeKind.WARM,
                failed,
                failed.plus(Duration.ofHours(12)),
                new TookOver(people.get("maren").id(), Duration.ofMinutes(4))));
        return told;
    }
}
