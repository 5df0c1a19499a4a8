package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.account.AccountService;
import elvaro.server.account.PasswordChanged;
import elvaro.server.account.PersonView;
import elvaro.server.chain.HouseKey;
import elvaro.server.channel.PushChannel;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Secret;
import jakarta.persistence.EntityManager;
import java.net.URI;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How people want to be told, and how the house tells. */
@Service
@Transactional
public class NoticeSettings {
    private static final int MOST_PHONES = 10;

    private final AccountService accounts;
    private final WorkshopService workshops;
    private final PushChannel push;
    private final HouseKey key;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    NoticeSettings(
            AccountService accounts,
            WorkshopService workshops,
            PushChannel push,
            HouseKey key,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.accounts = accounts;
        this.workshops = workshops;
        this.push = push;
        this.key = key;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * A phone as it is listed.
     *
     * @param endpoint by which a browser knows whether it is this one
     */
    public record PhoneView(UUID id, String name, String endpoint, Instant addedAt) {}

    NoticeChoice choice(PersonView person) {
        NoticeChoice known = entities.find(NoticeChoice.class, person.id());
        return known == null ? new NoticeChoice(person.id(), person.signInName()) : known;
    }

    private PersonView me() {
        return accounts.person(current.person().accountId());
    }

    @Transactional(readOnly = true)
    public ChoiceForm mine() {
        return choice(me()).form();
    }

    public ChoiceForm change(ChoiceForm form) {
        workshops.lock(); // one at a time, so that the first change makes one row
        try {
            if (!form.zone().isBlank()) {
                ZoneId.of(form.zone().strip());
            }
        } catch (DateTimeException unknown) {
            throw Refusal.wrong("invalid", "zone", "There is no time zone called " + form.zone() + ".");
        }
        NoticeChoice choice = choice(me());
        choice.change(form, LocaleContextHolder.getLocale());
        return kept(choice).form();
    }

    private NoticeChoice kept(NoticeChoice choice) {
        NoticeChoice merged = entities.merge(choice);
        entities.flush(); // what was changed has another number, which the person shall see
        return merged;
    }

    /** No more of this group by mail to this person; said twice it is said once. */
    void stopMail(UUID accountId, NoticeGroup group) {
        workshops.lock();
        NoticeChoice choice = choice(accounts.person(accountId));
        choice.stopMail(group);
        kept(choice);
    }

    HouseNotices house() {
        UUID workshop = current.person().workshopId();
        HouseNotices known = entities.find(HouseNotices.class, workshop);
        return known == null ? new HouseNotices(workshop) : known;
    }

    @Transactional(readOnly = true)
    public boolean hasMailServer() {
        return house().hasMail();
    }

    @Transactional(readOnly = true)
    public HouseNoticesForm ofHouse() {
        return house().form(key::unlock);
    }

    public HouseNoticesForm changeHouse(HouseNoticesForm form) {
        workshops.lock();
        form.steps().forEach(step -> {
            step.check();
            if (step.personId() != null) {
                accounts.person(step.personId());
            }
        });
        check(form);
        HouseNotices house = house();
        house.change(form, key::lock);
        return kept(house).form(key::unlock);
    }

    private static void check(HouseNoticesForm form) {
        if (!form.mailHost().isBlank() && form.mailFrom().isBlank()) {
            throw Refusal.wrong("missing", "mailFrom", "Say from which address the mail comes.");
        }
        try {
            if (!form.hookAddress().isBlank()
                    && URI.create(form.hookAddress().strip()).getHost() == null) {
                throw new IllegalArgumentException("no host");
            }
        } catch (IllegalArgumentException broken) {
            throw Refusal.wrong(
                    "invalid", "hookAddress", "An address names a machine, as https://hub.house.example/in.");
        }
    }

    private HouseNotices kept(HouseNotices house) {
        HouseNotices merged = entities.merge(house);
        entities.flush();
        return merged;
    }

    /** A new secret for the other program; shown now and never again. */
    public String makeHookSecret() {
        workshops.lock();
        HouseNotices house = house();
        String secret = Secret.make();
        house.keepHookSecret(key.lock(secret));
        kept(house);
        return secret;
    }

    List<Phone> phonesOf(UUID accountId) {
        return entities.createQuery(
                        "select p from Phone p where p.accountId = :account order by p.addedAt, p.id", Phone.class)
                .setParameter("account", accountId)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public List<PhoneView> myPhones() {
        return phonesOf(current.person().accountId()).stream()
                .map(phone ->
                        new PhoneView(phone.id(), phone.name(), phone.browser().endpoint(), phone.addedAt()))
                .toList();
    }

    /** Connects the browser this person has before them; the same one again is there once, as the one who has it now. */
    public void connect(UUID id, String name, PushChannel.Browser browser) {
        workshops.lock();
        push.check(browser);
        UUID me = current.person().accountId();
        List<Phone> all =
                entities.createQuery("select p from Phone p", Phone.class).getResultList();
        all.stream()
                .filter(phone -> phone.browser().endpoint().equals(browser.endpoint())
                        && !phone.id().equals(id))
                .forEach(entities::remove);
        Phone known = entities.find(Phone.class, id);
        if (known != null && known.accountId().equals(me)) {
            known.connect(browser);
            return;
        }
        if (known != null) {
            throw Refusal.notFound("phone");
        }
        if (phonesOf(me).size() >= MOST_PHONES) {
            throw Refusal.conflict("many-phones", "You have ten phones already. Take one out first.");
        }
        entities.persist(new Phone(id, me, name, browser, clock.instant().truncatedTo(ChronoUnit.MICROS)));
    }

    /** @throws Refusal if the person has none of this id */
    public void disconnect(UUID id) {
        Phone known = entities.find(Phone.class, id);
        if (known == null || !known.accountId().equals(current.person().accountId())) {
            throw Refusal.notFound("phone");
        }
        entities.remove(known);
    }

    /** Its browser is not there any more. */
    void forget(UUID phoneId) {
        Phone known = entities.find(Phone.class, phoneId);
        if (known != null) {
            entities.remove(known);
        }
    }

    /** Whoever saw the old password may have connected a phone. */
    @EventListener
    void forget(PasswordChanged changed) {
        phonesOf(Objects.requireNonNull(changed.accountId())).forEach(entities::remove);
    }
}
