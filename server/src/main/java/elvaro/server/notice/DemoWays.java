package elvaro.server.notice;

import elvaro.server.account.PersonView;
import elvaro.server.channel.MailServer.MailSecurity;
import elvaro.server.channel.PushChannel.Browser;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Connects invented people with simulated mailboxes and phones, and hands over there what was told before these were. */
@Component
public class DemoWays {
    private final NoticeSettings settings;
    private final Outbox outbox;
    private final EntityManager entities;
    private final Clock clock;

    DemoWays(NoticeSettings settings, Outbox outbox, EntityManager entities, Clock clock) {
        this.settings = settings;
        this.outbox = outbox;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * @param mailPort of the simulated mail server
     * @param phones by whose they are
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void connect(int mailPort, Map<PersonView, Browser> phones) {
        HouseNoticesForm house = settings.ofHouse();
        if (house.mailHost().isEmpty() || house.mailFrom().endsWith(".example")) {
            settings.changeHouse(new HouseNoticesForm(
                    house.version(),
                    "127.0.0.1",
                    mailPort,
                    MailSecurity.NONE,
                    "",
                    null,
                    null,
                    "elvaro@brackenrow.example",
                    house.hookAddress(),
                    null,
                    house.hookGroups(),
                    house.warmMinutes(),
                    house.silentMinutes(),
                    house.steps()));
        }
        phones.forEach((person, browser) -> {
            UUID id = UUID.nameUUIDFromBytes(("phone of " + person.id()).getBytes(StandardCharsets.UTF_8));
            Phone known = entities.find(Phone.class, id);
            if (known != null) {
                known.connect(browser);
            } else {
                String name = person.name().split(" ")[0] + "’s phone (simulated)";
                entities.persist(new Phone(
                        id, person.id(), name, browser, clock.instant().truncatedTo(ChronoUnit.MICROS)));
            }
        });
    }

    /** Whether anybody was ever told of an alarm here. */
    @Transactional(propagation = Propagation.MANDATORY, readOnly = true)
    public boolean wasTold() {
        return entities.createQuery("select count(a) from Alarm a", Long.class).getSingleResult() > 0;
    }

    /** What is said to have been sent lies there too, as of then. */
    public void handOver(UUID deliveryId) {
        outbox.show(deliveryId);
    }
}
