package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.account.AccountService;
import elvaro.server.chain.HouseKey;
import elvaro.server.channel.ChannelKind;
import elvaro.server.channel.MailChannel;
import elvaro.server.channel.MailServer;
import elvaro.server.channel.Outgoing;
import elvaro.server.channel.PushChannel;
import elvaro.server.channel.Sent;
import elvaro.server.channel.Sent.Fate;
import elvaro.server.channel.WebhookChannel;
import elvaro.server.settings.HouseAddress;
import elvaro.server.settings.WorkshopService;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sends what was written down. Whoever sends takes a message for a while first, so that no other node sends it too; one that
 * dies with it leaves it to be sent again, under the same key.
 */
@Component
class Outbox {
    private static final Logger LOG = LoggerFactory.getLogger(Outbox.class);

    private final NoticeRepository notices;
    private final NoticeSettings settings;
    private final AccountService accounts;
    private final WorkshopService workshops;
    private final HouseAddress address;
    private final HouseKey key;
    private final MailStops stops;
    private final MailChannel mail;
    private final PushChannel push;
    private final WebhookChannel hook;
    private final TransactionTemplate transaction;
    private final EntityManager entities;
    private final Clock clock;

    Outbox(
            NoticeRepository notices,
            NoticeSettings settings,
            AccountService accounts,
            WorkshopService workshops,
            HouseAddress address,
            HouseKey key,
            MailStops stops,
            MailChannel mail,
            PushChannel push,
            WebhookChannel hook,
            TransactionTemplate transaction,
            EntityManager entities,
            Clock clock) {
        this.notices = notices;
        this.settings = settings;
        this.accounts = accounts;
        this.workshops = workshops;
        this.address = address;
        this.key = key;
        this.stops = stops;
        this.mail = mail;
        this.push = push;
        this.hook = hook;
        this.transaction = transaction;
        this.entities = entities;
        this.clock = clock;
    }

    /** What is needed to send, read in one transaction and used outside of any: other machines are slow. */
    private record Parcel(
            Delivery delivery,
            Outgoing message,
            @Nullable MailServer server,
            String mailTo,
            PushChannel.@Nullable Browser phone,
            String contact,
            String hookAddress,
            String hookSecret) {}

    /** Sends one message that was taken, as somebody of its workshop. @return how it went, to know whether to go on */
    Fate send(UUID deliveryId) {
        if (Boolean.TRUE.equals(transaction.execute(status -> isOldNews(deliveryId)))) {
            return Fate.REFUSED;
        }
        Sent sent = attempt(deliveryId);
        transaction.executeWithoutResult(status -> {
            Delivery delivery = notices.delivery(deliveryId).orElseThrow();
            Notice notice = notices.findById(delivery.noticeId()).orElseThrow();
            delivery.tried(sent, notice.madeAt(), clock.instant().truncatedTo(ChronoUnit.MICROS));
            if (sent.fate() == Fate.GONE) {
                delivery.phoneId().ifPresent(settings::forget);
            }
        });
        return sent.fate();
    }

    /** What waited in a house that slept for days, or came back from a backup, nobody wants to hear any more. */
    private boolean isOldNews(UUID deliveryId) {
        Delivery delivery = notices.delivery(deliveryId).orElseThrow();
        Notice notice = notices.findById(delivery.noticeId()).orElseThrow();
        return delivery.giveUpIfOld(notice.madeAt(), clock.instant());
    }

    /** Sends what was sent before, or is said to have been, and writes nothing down of it. */
    void show(UUID deliveryId) {
        attempt(deliveryId);
    }

    /** Whatever goes wrong with one message is said of it and keeps no other from going. */
    private Sent attempt(UUID deliveryId) {
        try {
            Parcel parcel = transaction.execute(status -> parcel(deliveryId));
            return send(Objects.requireNonNull(parcel));
        } catch (DataAccessException | TransactionException away) {
            throw away; // nothing can be written down either; it is taken up again
        } catch (RuntimeException broken) {
            LOG.warn("Message {} cannot be sent", deliveryId, broken);
            return failed("Elvaro could not send it: " + broken.getMessage());
        }
    }

    private Sent send(Parcel parcel) {
        return switch (parcel.delivery.channel()) {
            case EMAIL ->
                parcel.server == null
                        ? failed("No mail server is set, or its password cannot be read any more. Set it again.")
                        : mail.send(parcel.server, parcel.mailTo, parcel.message);
            case PUSH ->
                parcel.phone == null
                        ? new Sent(Fate.REFUSED, "The phone was taken out.", Optional.empty())
                        : push.send(parcel.phone, parcel.contact, parcel.message);
            case WEBHOOK ->
                parcel.hookAddress.isEmpty() || parcel.hookSecret.isEmpty()
                        ? failed("No program is set, or its secret cannot be read any more. Set it again.")
                        : hook.send(parcel.hookAddress, parcel.hookSecret, parcel.message);
        };
    }

    private static Sent failed(String words) {
        return new Sent(Fate.FAILED, words, Optional.empty());
    }

    private Parcel parcel(UUID deliveryId) {
        Delivery delivery = notices.delivery(deliveryId).orElseThrow();
        Notice notice = notices.findById(delivery.noticeId()).orElseThrow();
        HouseNotices house = settings.house();
        String to = notice.accountId()
                .map(account -> settings.choice(accounts.person(account)).mail())
                .orElse("");
        PushChannel.Browser phone = delivery.phoneId()
                .map(id -> entities.find(Phone.class, id))
                .map(Phone::browser)
                .orElse(null);
        return new Parcel(
                delivery,
                message(notice, delivery.channel()),
                house.mail(key::unlock).orElse(null),
                to,
                phone,
                PushChannel.contact(
                        address.now(),
                        Stream.of(house.mailFrom(), to)
                                .filter(each -> !each.isEmpty())
                                .findFirst()),
                house.hookAddress(),
                house.hookSecret(key::unlock).orElse(""));
    }

    private Outgoing message(Notice notice, ChannelKind channel) {
        NoticeGroup group = notice.kind().group();
        String here = address.now();
        return new Outgoing(
                notice.key(),
                notice.kind(),
                notice.loudness(),
                notice.text(),
                notice.path(),
                workshops.mine().name(),
                here,
                notice.madeAt(),
                // Warm meat is nothing to be rid of by a slip of the thumb.
                channel == ChannelKind.EMAIL && group.waits()
                        ? notice.accountId().map(account -> here + stops.path(account, group))
                        : Optional.empty());
    }
}
