package elvaro.server.notice;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import jakarta.mail.Message.RecipientType;
import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.IOException;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** What a house tells, to a mail server that keeps it (GreenMail), looked for when a test wants it to be. */
final class Told implements AutoCloseable {

    private final GreenMail server = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
    private final Someone owner;

    Told(Someone owner) {
        this.owner = owner;
        server.start();
        houseMail(server.getSmtp().getPort());
    }

    /** One mail. */
    record Mail(String to, String subject, String text, String html, Map<String, String> heads) {}

    void houseMail(int port) {
        Client client = owner.client();
        Map<String, Object> house = house(client);
        house.put("mailHost", "127.0.0.1");
        house.put("mailPort", port);
        house.put("mailSecurity", "NONE");
        house.put("mailFrom", "elvaro@brackenrow.example");
        client.must(client.put("/api/notices/house", house));
    }

    /** As it is, to be put back with a change. */
    static Map<String, Object> house(Client client) {
        return fields(client, "/api/notices/house");
    }

    static Map<String, Object> choice(Client client) {
        return nested(client, "/api/me/notices", "choice");
    }

    private static Map<String, Object> nested(Client client, String path, String field) {
        @SuppressWarnings("unchecked")
        Map<String, Object> inner = (Map<String, Object>) fields(client, path).get(field);
        return inner;
    }

    static Map<String, Object> fields(Client client, String path) {
        @SuppressWarnings("unchecked")
        Map<String, Object> fields = tools.jackson.databind.json.JsonMapper.shared()
                .convertValue(client.must(client.get(path)).body(), HashMap.class);
        return fields;
    }

    void stop() {
        server.stop();
    }

    int port() {
        return server.getSmtp().getPort();
    }

    /** Looks once and sends what is to be sent. */
    void look() {
        look(owner);
        send();
    }

    static void look(Someone owner) {
        RunningApp.bean(CurrentWorkshop.class).actingAs(owner.person(), () -> {
            RunningApp.bean(NoticeEngine.class).look();
            return true;
        });
    }

    static void send() {
        NoticeJobs jobs = RunningApp.bean(NoticeJobs.class);
        jobs.sendMail();
        jobs.push();
        jobs.callPrograms();
    }

    void lookAt(Instant moment) {
        RunningApp.clock().show(moment);
        look();
    }

    List<Mail> mails() {
        return Arrays.stream(server.getReceivedMessages()).map(Told::mail).toList();
    }

    /** What came since it was last asked for. */
    List<Mail> news() {
        List<Mail> news = mails();
        try {
            server.purgeEmailFromAllMailboxes();
        } catch (com.icegreen.greenmail.store.FolderException failure) {
            throw new IllegalStateException(failure);
        }
        return news;
    }

    private static Mail mail(MimeMessage message) {
        try {
            Map<String, String> heads = new HashMap<>();
            message.getAllHeaders().asIterator().forEachRemaining(head -> heads.put(head.getName(), head.getValue()));
            return new Mail(
                    message.getRecipients(RecipientType.TO)[0].toString(),
                    message.getSubject(),
                    part(message, "text/plain"),
                    part(message, "text/html"),
                    heads);
        } catch (MessagingException | IOException broken) {
            throw new IllegalStateException(GreenMailUtil.getWholeMessage(message), broken);
        }
    }

    private static String part(Part part, String type) throws MessagingException, IOException {
        if (part.isMimeType(type)) {
            return part.getContent().toString().replace("\r\n", "\n");
        }
        if (part.getContent() instanceof MimeMultipart parts) {
            for (int index = 0; index < parts.getCount(); index++) {
                String found = part(parts.getBodyPart(index), type);
                if (!found.isEmpty()) {
                    return found;
                }
            }
        }
        return "";
    }

    static String id() {
        return UUID.randomUUID().toString();
    }

    @Override
    public void close() {
        server.stop();
        RunningApp.clock().reset();
    }
}
