package elvaro.server.channel;

import elvaro.core.notice.Loudness;
import elvaro.server.channel.MailServer.MailSecurity;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.MessagingException;
import jakarta.mail.SendFailedException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.UnsupportedEncodingException;
import java.net.URI;
import java.util.Date;
import java.util.Objects;
import java.util.Properties;
import org.springframework.mail.MailAuthenticationException;
import org.springframework.mail.MailException;
import org.springframework.mail.MailSendException;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;

/** Sends mail over the mail server a house names: SMTP (RFC 5321), with a text and an HTML part. */
@Component
public class MailChannel {
    private static final String CONNECT_MILLIS = "5000";
    private static final String ANSWER_MILLIS = "10000";

    /** SMTP's answers of this hundred are final. */
    private static final String FINAL = "5";

    public Sent send(MailServer server, String to, Outgoing message) {
        JavaMailSenderImpl sender = sender(server);
        try {
            sender.send(mail(sender, server, to, message));
            return Sent.taken("The mail server took it.");
        } catch (MailAuthenticationException wrong) {
            return Sent.failed("The mail server does not take name and password.");
        } catch (MailSendException failure) {
            return failed(failure);
        } catch (MailException | MessagingException | UnsupportedEncodingException broken) {
            return Sent.refused(words(broken));
        }
    }

    private static JavaMailSenderImpl sender(MailServer server) {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        sender.setHost(server.host());
        sender.setPort(server.port());
        Properties asked = sender.getJavaMailProperties();
        asked.setProperty("mail.smtp.connectiontimeout", CONNECT_MILLIS);
        asked.setProperty("mail.smtp.timeout", ANSWER_MILLIS);
        asked.setProperty("mail.smtp.writetimeout", ANSWER_MILLIS);
        asked.setProperty("mail.smtp.ssl.enable", String.valueOf(server.security() == MailSecurity.TLS));
        asked.setProperty("mail.smtp.starttls.enable", String.valueOf(server.security() == MailSecurity.STARTTLS));
        asked.setProperty("mail.smtp.starttls.required", String.valueOf(server.security() == MailSecurity.STARTTLS));
        asked.setProperty("mail.smtp.ssl.checkserveridentity", "true");
        if (!server.user().isEmpty()) {
            asked.setProperty("mail.smtp.auth", "true");
            sender.setUsername(server.user());
            sender.setPassword(server.password());
        }
        return sender;
    }

    private static MimeMessage mail(JavaMailSenderImpl sender, MailServer server, String to, Outgoing message)
            throws MessagingException, UnsupportedEncodingException {
        MimeMessage mail = sender.createMimeMessage();
        MimeMessageHelper helper = new MimeMessageHelper(mail, true, "UTF-8");
        helper.setFrom(new InternetAddress(server.from(), "Elvaro, " + oneLine(message.house())));
        helper.setTo(to);
        helper.setSubject(oneLine(message.text().title()));
        helper.setSentDate(Date.from(message.madeAt()));
        helper.setText(MailText.plain(message), MailText.html(message));
        // The same however often it is sent: a mailbox that has it knows it again.
        mail.setHeader("Message-ID", "<%s@%s>".formatted(message.key(), host(message.address())));
        mail.setHeader("Auto-Submitted", "auto-generated"); // RFC 3834: no machine answers it
        if (message.loudness() == Loudness.LOUD) {
            mail.setHeader("Importance", "high");
            mail.setHeader("X-Priority", "1");
        }
        if (message.stop().isPresent()) {
            mail.setHeader("List-Unsubscribe", "<%s>".formatted(message.stop().get()));
            mail.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click"); // RFC 8058
        }
        return mail;
    }

    /** A name with a line break in it writes no head of its own. */
    private static String oneLine(String words) {
        return words.replaceAll("\\s+", " ");
    }

    private static String host(String address) {
        return Objects.requireNonNullElse(URI.create(address).getHost(), "elvaro");
    }

    private static Sent failed(MailSendException failure) {
        Exception cause = failure.getMessageExceptions().length > 0 ? failure.getMessageExceptions()[0] : failure;
        if (cause instanceof SendFailedException && !(cause instanceof AuthenticationFailedException)) {
            String answer = words(cause);
            return answer.startsWith(FINAL) || answer.contains(" " + FINAL + "50 ")
                    ? Sent.refused("The mail server refused it: " + answer)
                    : Sent.failed("The mail server did not take it: " + answer);
        }
        return Sent.failed("The mail server does not answer: " + words(cause));
    }

    /** The innermost says what happened. */
    private static String words(Throwable failure) {
        Throwable inner = failure;
        while (inner instanceof MessagingException messaging && messaging.getNextException() != null) {
            inner = messaging.getNextException();
        }
        while (inner.getCause() != null && inner.getCause() != inner) {
            inner = inner.getCause();
        }
        return Objects.requireNonNullElse(inner.getMessage(), inner.getClass().getSimpleName())
                .strip();
    }
}
