package elvaro.devices;

import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** What came, the last first: as a page for people and as JSON for tests. One that comes twice is there once, as in a mailbox. */
public final class ReceivedMessages {
    private static final int MOST = 500;
    private static final Pattern FIELD = Pattern.compile("\"(key|title|body|path)\":\"((?:[^\"\\\\]|\\\\.)*)\"");
    private static final Pattern AT = Pattern.compile("\"at\":([0-9]+)");
    private static final DateTimeFormatter MOMENT =
            DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.UK).withZone(ZoneId.systemDefault());

    private final List<Received> messages = new ArrayList<>();
    private int repeated;

    /**
     * One message.
     *
     * @param way {@code mail} or {@code phone}
     * @param key by which it is known if it comes again
     * @param at when the house made it
     * @param html as a mail shows it; absent for a phone
     */
    public record Received(
            String way,
            String to,
            String key,
            Instant at,
            String title,
            String text,
            @Nullable String html,
            boolean loud) {}

    synchronized void mail(String to, byte[] data) {
        try {
            MimeMessage mail = new MimeMessage(null, new ByteArrayInputStream(data));
            keep(new Received(
                    "mail",
                    to,
                    String.valueOf(mail.getMessageID()),
                    mail.getSentDate() == null
                            ? Instant.now()
                            : mail.getSentDate().toInstant(),
                    String.valueOf(mail.getSubject()),
                    part(mail, "text/plain"),
                    part(mail, "text/html"),
                    mail.getHeader("Importance") != null));
        } catch (MessagingException | IOException broken) {
            keep(new Received("mail", to, "", Instant.now(), "A mail nobody can read", "", null, false));
        }
    }

    synchronized void push(String to, String json, @Nullable String urgency) {
        Matcher at = AT.matcher(json);
        keep(new Received(
                "phone",
                to,
                field(json, "key"),
                at.find() ? Instant.ofEpochMilli(Long.parseLong(at.group(1))) : Instant.now(),
                field(json, "title"),
                field(json, "body"),
                null,
                "high".equals(urgency)));
    }

    private void keep(Received message) {
        boolean known = messages.removeIf(
                each -> each.way.equals(message.way) && each.to.equals(message.to) && each.key.equals(message.key));
        repeated += known ? 1 : 0;
        messages.add(message);
        messages.sort((one, other) -> other.at.compareTo(one.at));
        if (messages.size() > MOST) {
            messages.remove(messages.size() - 1);
        }
    }

    /** The last first. */
    public synchronized List<Received> all() {
        return List.copyOf(messages);
    }

    /** How often one came that was there already. */
    public synchronized int repeated() {
        return repeated;
    }

    private static String field(String json, String name) {
        Matcher fields = FIELD.matcher(json);
        while (fields.find()) {
            if (fields.group(1).equals(name)) {
                return fields.group(2)
                        .replace("\\n", "\n")
                        .replace("\\\"", "\"")
                        .replace("\\\\", "\\");
            }
        }
        return "";
    }

    private static String part(Part part, String type) throws MessagingException, IOException {
        if (part.isMimeType(type)) {
            return String.valueOf(part.getContent());
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

    String json() {
        StringBuilder json = new StringBuilder("[");
        for (Received each : all()) {
            json.append(json.length() > 1 ? "," : "")
                    .append("{\"way\":\"%s\",\"to\":\"%s\",\"at\":\"%s\",\"title\":\"%s\",\"text\":\"%s\",\"loud\":%s}"
                            .formatted(
                                    each.way,
                                    quoted(each.to),
                                    each.at,
                                    quoted(each.title),
                                    quoted(each.text),
                                    each.loud));
        }
        return json.append("]").toString();
    }

    private static String quoted(String text) {
        return text.replace("\\", "\\\\")
                .replace("\"", "\\\"")
                .replace("\r", "")
                .replace("\n", "\\n")
                .replace("\t", " ");
    }

    String page() {
        StringBuilder page = new StringBuilder("""
                <!doctype html><html lang="en"><head><meta charset="utf-8">
                <meta name="viewport" content="width=device-width"><meta http-equiv="refresh" content="10">
                <title>Simulated mailboxes and phones</title><style>
                body{margin:0;padding:24px;background:#ddd8cf;color:#2a1f1c;font:16px/1.45 sans-serif}
                main{max-width:860px;margin:auto}h1{font-size:22px}
                article{background:#f6f2ea;border-left:6px solid #b9ad98;padding:12px 16px;margin:0 0 12px}
                article.loud{border-color:#c4531c}h2{font-size:17px;margin:0}
                header{font-size:14px;color:#5c504a}pre{white-space:pre-wrap;font:inherit;margin:8px 0 0}
                iframe{width:100%;height:420px;border:1px solid #cfc6b6;background:#fff;margin-top:8px}
                summary{cursor:pointer;margin-top:8px;min-height:24px}</style></head><body><main>
                <h1>Simulated mailboxes and phones</h1>
                <p>What Elvaro sent in the demo. Nothing of it left this machine.</p>
                """);
        List<Received> all = all();
        if (all.isEmpty()) {
            page.append("<p>Nothing came yet.</p>");
        }
        all.forEach(each -> page.append(article(each)));
        return page.append("</main></body></html>").toString();
    }

    private static String article(Received each) {
        String body = each.html == null
                ? "<pre>%s</pre>".formatted(safe(each.text))
                : "<details><summary>Read the mail</summary><iframe sandbox srcdoc=\"%s\" title=\"%s\"></iframe></details>"
                        .formatted(safe(each.html), safe(each.title));
        return "<article class=\"%s\"><header>%s, %s, %s</header><h2>%s</h2>%s</article>\n"
                .formatted(
                        each.loud ? "loud" : "quiet",
                        each.way.equals("mail") ? "Mail to " + safe(each.to) : "Phone of " + safe(each.to),
                        MOMENT.format(each.at),
                        each.loud ? "loud" : "quiet",
                        safe(each.title),
                        body);
    }

    private static String safe(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
