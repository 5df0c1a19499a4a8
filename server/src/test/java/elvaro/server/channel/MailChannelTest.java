package elvaro.server.channel;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeKind;
import elvaro.core.notice.NoticeText;
import elvaro.server.channel.MailServer.MailSecurity;
import elvaro.server.channel.Sent.Fate;
import java.net.InetAddress;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.subethamail.smtp.RejectException;
import org.subethamail.smtp.server.SMTPServer;

/** What a mail server answers, by one that is not ours (SubEthaSMTP): RFC 5321, section 4.2.1, 4yz is for now, 5yz for good. */
class MailChannelTest {
    private final List<String> taken = new ArrayList<>();

    private Sent sentTo(int answer, MailSecurity security, String title) {
        SMTPServer server = SMTPServer.port(0)
                .bindAddress(InetAddress.getLoopbackAddress())
                .messageHandler((context, from, to, data) -> {
                    if (answer != 250) {
                        throw new RejectException(answer, "as it likes");
                    }
                    taken.add(new String(data));
                })
                .build();
        server.start();
        try {
            return send(server.getPortAllocated(), security, title);
        } finally {
            server.stop();
        }
    }

    private static Sent send(int port, MailSecurity security, String title) {
        return new MailChannel()
                .send(
                        new MailServer("127.0.0.1", port, security, "", "", "elvaro@brackenrow.example"),
                        "maren@brackenrow.example",
                        new Outgoing(
                                "alarm-1.maren",
                                NoticeKind.WARM,
                                Loudness.LOUD,
                                new NoticeText(title, List.of()),
                                "/alarms/1",
                                "Brackenrow",
                                "https://house.example",
                                Instant.EPOCH,
                                Optional.empty()));
    }

    @ParameterizedTest
    @CsvSource({"250, TAKEN", "451, FAILED", "421, FAILED", "550, REFUSED", "554, REFUSED"})
    void what_is_refused_for_now_is_tried_again_and_what_is_for_good_is_not(int answer, Fate fate) {
        Sent sent = sentTo(answer, MailSecurity.NONE, "North Room");
        assertThat(sent.fate()).as(sent.answer()).isEqualTo(fate);
    }

    @Test
    void nobody_there_and_a_server_that_does_not_encrypt_are_tried_again() {
        assertThat(send(9, MailSecurity.NONE, "North Room").fate()).isEqualTo(Fate.FAILED);
        assertThat(sentTo(250, MailSecurity.STARTTLS, "North Room").fate()).isEqualTo(Fate.FAILED);
        assertThat(taken).as("nothing was said in the open").isEmpty();
    }

    @Test
    void a_name_with_a_line_break_in_it_writes_no_head_of_its_own() {
        assertThat(sentTo(250, MailSecurity.NONE, "North\r\nBcc: others@elsewhere.example\r\n\r\nRoom")
                        .fate())
                .isEqualTo(Fate.TAKEN);
        assertThat(taken)
                .singleElement()
                .satisfies(mail -> assertThat(mail.split("\r?\n\r?\n", 2)[0])
                        .as("the heads")
                        .contains("Subject: North Bcc:")
                        .doesNotContain("\nBcc:"));
    }
}
