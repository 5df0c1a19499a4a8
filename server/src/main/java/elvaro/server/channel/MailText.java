package elvaro.server.channel;

import elvaro.core.notice.NoticeText.Said;
import elvaro.core.notice.NoticeText.Section;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.web.util.HtmlUtils;

/** A message as plain text and as HTML; both say the same. */
final class MailText {
    private static final String INK = "#2a1f1c";
    private static final String OXBLOOD = "#7a2a22";
    private static final String BONE = "#efe9dd";

    private static final Pattern HEAD_ENDS = Pattern.compile("[,:.]( |$)");

    private MailText() {}

    static String plain(Outgoing message) {
        StringBuilder text = new StringBuilder(message.text().title()).append("\n");
        for (Section section : message.text().sections()) {
            text.append('\n').append(section.heading()).append('\n');
            for (Said said : section.said()) {
                text.append("- ").append(said.words()).append('\n');
                said.at()
                        .ifPresent(at -> text.append("  ")
                                .append(message.address())
                                .append(at)
                                .append('\n'));
            }
        }
        text.append("\n-- \n").append(foot(message)).append('\n');
        message.stop()
                .ifPresent(stop ->
                        text.append("No more of these by mail: ").append(stop).append('\n'));
        return text.toString();
    }

    static String html(Outgoing message) {
        StringBuilder text = new StringBuilder();
        text.append("<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\">")
                .append("<meta name=\"viewport\" content=\"width=device-width\"><title>")
                .append(safe(message.text().title()))
                .append("</title></head><body style=\"margin:0;background:")
                .append(BONE)
                .append(";color:")
                .append(INK)
                .append(";font:16px/1.5 sans-serif\"><div style=\"max-width:600px;margin:0 auto;padding:24px\">")
                .append("<h1 style=\"font-size:22px;line-height:1.25;margin:0 0 16px\">")
                .append(safe(message.text().title()))
                .append("</h1>");
        for (Section section : message.text().sections()) {
            text.append("<h2 style=\"font-size:14px;margin:20px 0 4px;color:")
                    .append(OXBLOOD)
                    .append("\">")
                    .append(safe(section.heading()))
                    .append("</h2>");
            section.said().forEach(said -> text.append(line(message, said)));
        }
        text.append("<p style=\"margin:28px 0 0;padding-top:12px;border-top:1px solid #cfc6b6;font-size:13px\">")
                .append(safe(foot(message)));
        message.stop()
                .ifPresent(stop -> text.append("<br><a style=\"color:")
                        .append(INK)
                        .append("\" href=\"")
                        .append(safe(stop))
                        .append("\">No more of these by mail</a>"));
        return text.append("</p></div></body></html>").toString();
    }

    private static String line(Outgoing message, Said said) {
        String words = said.words();
        int head = said.at().isEmpty() ? 0 : headOf(words);
        return "<p style=\"margin:8px 0\">%s%s</p>"
                .formatted(
                        said.at()
                                .map(at -> "<a style=\"color:%s;font-weight:bold\" href=\"%s\">%s</a>"
                                        .formatted(INK, safe(message.address() + at), safe(words.substring(0, head))))
                                .orElse(""),
                        safe(words.substring(head)));
    }

    /** What it is about is the link; a page of underlined sentences is read by nobody. */
    private static int headOf(String words) {
        Matcher end = HEAD_ENDS.matcher(words);
        return end.find() ? end.start() : words.length();
    }

    private static String foot(Outgoing message) {
        return "%s, Elvaro. How and when you are told is for you to say: %s/reminders"
                .formatted(message.house(), message.address());
    }

    private static String safe(String words) {
        return HtmlUtils.htmlEscape(words, "UTF-8");
    }
}
