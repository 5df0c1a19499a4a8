package elvaro.server.notice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import elvaro.core.notice.NoticeGroup;
import elvaro.core.working.Units;
import elvaro.server.account.AccountService;
import elvaro.server.account.PersonView;
import elvaro.server.channel.ChannelKind;
import elvaro.server.channel.MailServer.MailSecurity;
import elvaro.server.notice.Recipient.Way;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Role;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.mockito.junit.jupiter.MockitoSettings;
import org.mockito.quality.Strictness;

@ExtendWith(MockitoExtension.class)
@MockitoSettings(strictness = Strictness.LENIENT)
class RecipientsTest {
    private static final PersonView IDRIS =
            new PersonView(new UUID(2, 2), 0, "idris@brackenrow.example", "Idris Vale", Role.BENCH_HAND, true);
    private static final PersonView GONE =
            new PersonView(new UUID(3, 3), 0, "gone@brackenrow.example", "Somebody", Role.BENCH_HAND, false);

    @Mock
    private NoticeSettings settings;

    @Mock
    private AccountService accounts;

    @Mock
    private WorkshopService workshops;

    private final HouseNotices house = new HouseNotices(new UUID(1, 1));
    private Recipients recipients;

    @BeforeEach
    void a_house_of_two() {
        Workshop workshop = mock(Workshop.class);
        when(workshop.clock()).thenReturn(new HouseClock(ZoneId.of("Europe/Berlin")));
        when(workshop.currency()).thenReturn("EUR");
        when(workshops.mine()).thenReturn(workshop);
        when(accounts.people()).thenReturn(List.of(IDRIS, GONE));
        when(accounts.units(any(), any())).thenReturn(Units.PLAIN);
        when(settings.house()).thenReturn(house);
        when(settings.choice(IDRIS)).thenReturn(new NoticeChoice(IDRIS.id(), IDRIS.signInName()));
        recipients = new Recipients(settings, accounts, workshops);
    }

    private void set(String mailHost, String hook) {
        house.change(
                new HouseNoticesForm(
                        -1,
                        mailHost,
                        587,
                        MailSecurity.STARTTLS,
                        "",
                        null,
                        null,
                        "elvaro@brackenrow.example",
                        hook,
                        null,
                        Set.of(NoticeGroup.AIR),
                        30,
                        60,
                        AlarmStep.USUAL),
                UnaryOperator.identity());
    }

    @Test
    void who_may_not_sign_in_is_told_nothing_and_who_has_no_way_has_none() {
        assertThat(recipients.all()).singleElement().satisfies(idris -> {
            assertThat(idris.accountId()).isEqualTo(IDRIS.id());
            assertThat(idris.ways(NoticeGroup.AIR)).isEmpty();
        });
    }

    @Test
    void mail_is_a_way_once_the_house_has_a_mail_server() {
        set("mail.house.example", "");
        assertThat(recipients.all().get(0).ways(NoticeGroup.DAY)).containsExactly(new Way(ChannelKind.EMAIL, null));
    }

    @Test
    void another_program_is_told_of_what_was_chosen_once_it_has_a_secret() {
        set("", "https://hub.house.example/in");
        assertThat(recipients.all()).hasSize(1);
        house.keepHookSecret("locked");
        Recipient program = recipients.all().get(1);
        assertThat(program.accountId()).isNull();
        assertThat(program.ways(NoticeGroup.AIR)).containsExactly(new Way(ChannelKind.WEBHOOK, null));
        assertThat(program.ways(NoticeGroup.DAY)).isEmpty();
    }

    @Test
    void nights_are_quiet_but_for_the_air() {
        set("mail.house.example", "");
        Recipient idris = recipients.all().get(0);
        Instant night = Instant.parse("2026-11-28T02:00:00Z");
        assertThat(idris.hears(NoticeGroup.AIR, night)).isTrue();
        assertThat(idris.hears(NoticeGroup.DAY, night)).isFalse();
        assertThat(idris.hears(NoticeGroup.HOUSE, night)).isFalse();
        assertThat(idris.hears(NoticeGroup.DAY, Instant.parse("2026-11-28T06:00:00Z")))
                .as("seven in the house's zone")
                .isTrue();
    }
}
