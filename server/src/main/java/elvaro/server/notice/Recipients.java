package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.core.notice.QuietHours;
import elvaro.core.working.Units;
import elvaro.server.account.AccountService;
import elvaro.server.account.PersonView;
import elvaro.server.channel.ChannelKind;
import elvaro.server.notice.Recipient.Way;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Role;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Who can be told in the workshop, and how. */
@Component
@Transactional(readOnly = true)
class Recipients {
    private static final LocalTime HOUSE_MORNING = LocalTime.of(7, 0);

    private final NoticeSettings settings;
    private final AccountService accounts;
    private final WorkshopService workshops;

    Recipients(NoticeSettings settings, AccountService accounts, WorkshopService workshops) {
        this.settings = settings;
        this.accounts = accounts;
        this.workshops = workshops;
    }

    /** Everybody who may sign in, and the house's other program where it has one. */
    List<Recipient> all() {
        HouseNotices house = settings.house();
        ZoneId zone = workshops.mine().clock().zone();
        List<Recipient> all = new ArrayList<>();
        for (PersonView person : accounts.people()) {
            if (person.active()) {
                all.add(of(person, house, zone));
            }
        }
        if (house.hasHook()) {
            all.add(program(house, zone));
        }
        return all;
    }

    private Recipient of(PersonView person, HouseNotices house, ZoneId zone) {
        NoticeChoice choice = settings.choice(person);
        List<Phone> phones = settings.phonesOf(person.id());
        Map<NoticeGroup, List<Way>> ways = new EnumMap<>(NoticeGroup.class);
        for (NoticeGroup group : NoticeGroup.values()) {
            Set<ChannelKind> wanted = choice.ways(group);
            List<Way> open = new ArrayList<>();
            if (wanted.contains(ChannelKind.EMAIL)
                    && house.hasMail()
                    && !choice.mail().isEmpty()) {
                open.add(new Way(ChannelKind.EMAIL, null));
            }
            if (wanted.contains(ChannelKind.PUSH)) {
                phones.forEach(phone -> open.add(new Way(ChannelKind.PUSH, phone.id())));
            }
            ways.put(group, open);
        }
        return new Recipient(
                person.id(),
                person.role() == Role.OWNER,
                choice.zone(zone),
                choice.morningAt(),
                choice.quiet(),
                choice.ownWorkOnly(),
                accounts.units(person.id(), choice.locale().orElse(Locale.UK)),
                ways);
    }

    private Recipient program(HouseNotices house, ZoneId zone) {
        Map<NoticeGroup, List<Way>> ways = new EnumMap<>(NoticeGroup.class);
        house.hookGroups().forEach(group -> ways.put(group, List.of(new Way(ChannelKind.WEBHOOK, null))));
        Workshop workshop = workshops.mine();
        return new Recipient(
                null,
                true,
                zone,
                HOUSE_MORNING,
                new QuietHours(LocalTime.MIDNIGHT, LocalTime.MIDNIGHT),
                false,
                new Units(Units.Mass.KILOGRAM, false, false, Currency.getInstance(workshop.currency()), Locale.UK),
                ways);
    }

    /** Of one person. */
    Recipient of(UUID accountId) {
        return of(
                accounts.person(accountId),
                settings.house(),
                workshops.mine().clock().zone());
    }
}
