package elvaro.server.notice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import elvaro.server.account.AccountService;
import elvaro.server.account.PersonView;
import elvaro.server.chain.HouseKey;
import elvaro.server.channel.ChannelKind;
import elvaro.server.channel.MailChannel;
import elvaro.server.channel.MailServer.MailSecurity;
import elvaro.server.channel.Outgoing;
import elvaro.server.channel.PushChannel;
import elvaro.server.channel.Sent;
import elvaro.server.channel.Sent.Fate;
import elvaro.server.channel.WebhookChannel;
import elvaro.server.notice.Delivery.DeliveryState;
import elvaro.server.settings.HouseAddress;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Role;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.ArgumentCaptor;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.mockito.junit.jupiter.MockitoSettings;
import org.mockito.quality.Strictness;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

@ExtendWith(MockitoExtension.class)
@MockitoSettings(strictness = Strictness.LENIENT)
class OutboxTest {
    private static final Instant NOW = Instant.parse("2026-11-28T03:00:00Z");
    private static final UUID IDRIS = new UUID(2, 2);

    @Mock
    private NoticeRepository notices;

    @Mock
    private NoticeSettings settings;

    @Mock
    private AccountService accounts;

    @Mock
    private HouseAddress address;

    @Mock
    private HouseKey key;

    @Mock
    private MailChannel mail;

    @Mock
    private PushChannel push;

    @Mock
    private EntityManager entities;

    private final HouseNotices house = new HouseNotices(new UUID(1, 1));
    private Outbox outbox;

    @BeforeEach
    void a_house_with_a_mail_server() {
        house.change(
                new HouseNoticesForm(
                        -1,
                        "mail.house.example",
                        587,
                        MailSecurity.STARTTLS,
                        "",
                        null,
                        null,
                        "elvaro@brackenrow.example",
                        "",
                        null,
                        Set.of(),
                        30,
                        60,
                        AlarmStep.USUAL),
                UnaryOperator.identity());
        when(settings.house()).thenReturn(house);
        PersonView idris = new PersonView(IDRIS, 0, "idris@brackenrow.example", "Idris Vale", Role.BENCH_HAND, true);
        when(accounts.person(IDRIS)).thenReturn(idris);
        when(settings.choice(idris)).thenReturn(new NoticeChoice(IDRIS, idris.signInName()));
        when(address.now()).thenReturn("https://house.example");
        Workshop workshop = mock(Workshop.class);
        when(workshop.name()).thenReturn("Brackenrow");
        WorkshopService workshops = mock(WorkshopService.class);
        when(workshops.mine()).thenReturn(workshop);
        MailStops stops = mock(MailStops.class);
        when(stops.path(any(), any())).thenReturn("/stop/it");
        outbox = new Outbox(
                notices,
                settings,
                accounts,
                workshops,
                address,
                key,
                stops,
                mail,
                push,
                mock(WebhookChannel.class),
                new TransactionTemplate(mock(PlatformTransactionManager.class)),
                entities,
                Clock.fixed(NOW, ZoneOffset.UTC));
    }

    private Delivery waiting(NoticeKind kind, ChannelKind channel, UUID phone, Duration ago) {
        Notice notice = new Notice(
                "key",
                IDRIS,
                kind,
                Loudness.LOUD,
                new NoticeText("North Room", List.of()),
                "/alarms/1",
                null,
                null,
                NOW.minus(ago));
        Delivery delivery = new Delivery(notice.id(), channel, phone, true, NOW);
        when(notices.delivery(delivery.id())).thenReturn(Optional.of(delivery));
        when(notices.findById(notice.id())).thenReturn(Optional.of(notice));
        return delivery;
    }

    private static Sent went(Fate fate) {
        return new Sent(fate, "said so", Optional.empty());
    }

    @Test
    void what_is_taken_is_sent_and_goes_under_the_name_it_has() {
        Delivery delivery = waiting(NoticeKind.MORNING, ChannelKind.EMAIL, null, Duration.ZERO);
        ArgumentCaptor<Outgoing> message = ArgumentCaptor.forClass(Outgoing.class);
        when(mail.send(any(), eq("idris@brackenrow.example"), message.capture()))
                .thenReturn(went(Fate.TAKEN));
        assertThat(outbox.send(delivery.id())).isEqualTo(Fate.TAKEN);
        assertThat(delivery.state()).isEqualTo(DeliveryState.SENT);
        assertThat(delivery.at()).hasValue(NOW);
        assertThat(message.getValue().key()).isEqualTo("key." + IDRIS);
        assertThat(message.getValue().stop()).hasValue("https://house.example/stop/it");
    }

    @Test
    void an_alarm_of_the_air_cannot_be_ended_by_a_slip() {
        Delivery delivery = waiting(NoticeKind.WARM, ChannelKind.EMAIL, null, Duration.ZERO);
        ArgumentCaptor<Outgoing> message = ArgumentCaptor.forClass(Outgoing.class);
        when(mail.send(any(), anyString(), message.capture())).thenReturn(went(Fate.TAKEN));
        outbox.send(delivery.id());
        assertThat(message.getValue().stop()).isEmpty();
    }

    @Test
    void what_failed_waits_longer_each_time_and_is_given_up_after_days() {
        Delivery delivery = waiting(NoticeKind.WARM, ChannelKind.EMAIL, null, Duration.ZERO);
        when(mail.send(any(), anyString(), any())).thenReturn(went(Fate.FAILED));
        outbox.send(delivery.id());
        assertThat(delivery.state()).isEqualTo(DeliveryState.WAITING);
        assertThat(delivery.tries()).isOne();
        Delivery old = waiting(NoticeKind.WARM, ChannelKind.EMAIL, null, Duration.ofDays(4));
        outbox.send(old.id());
        assertThat(old.state()).isEqualTo(DeliveryState.GIVEN_UP);
        assertThat(old.tries()).as("nobody is told old news").isZero();
    }

    @Test
    void a_phone_that_is_gone_is_forgotten() {
        UUID id = new UUID(9, 9);
        Delivery delivery = waiting(NoticeKind.WARM, ChannelKind.PUSH, id, Duration.ZERO);
        when(entities.find(Phone.class, id))
                .thenReturn(
                        new Phone(id, IDRIS, "Phone", new PushChannel.Browser("https://p.example/1", "k", "s"), NOW));
        when(push.send(any(), anyString(), any())).thenReturn(went(Fate.GONE));
        outbox.send(delivery.id());
        assertThat(delivery.state()).isEqualTo(DeliveryState.REFUSED);
        verify(settings).forget(id);
    }

    @Test
    void a_phone_that_was_taken_out_meanwhile_is_not_sent_to() {
        Delivery delivery = waiting(NoticeKind.WARM, ChannelKind.PUSH, new UUID(9, 9), Duration.ZERO);
        outbox.send(delivery.id());
        assertThat(delivery.state()).isEqualTo(DeliveryState.REFUSED);
        verify(push, never()).send(any(), anyString(), any());
    }

    @Test
    void a_message_that_breaks_the_sender_is_said_and_holds_up_no_other() {
        Delivery delivery = waiting(NoticeKind.WARM, ChannelKind.EMAIL, null, Duration.ZERO);
        when(mail.send(any(), anyString(), any())).thenThrow(new IllegalStateException("broken"));
        assertThat(outbox.send(delivery.id())).isEqualTo(Fate.FAILED);
        assertThat(delivery.answer()).contains("Elvaro could not send it: broken");
    }
}
