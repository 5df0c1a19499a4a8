package elvaro.server.notice;

import elvaro.core.notice.NoticeGroup;
import elvaro.server.shared.TakesUpTo;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.HtmlUtils;

/** Where the link in a mail leads that ends such mails. A mailbox that looks at links ends nothing by looking. */
@RestController
@RequestMapping(path = "/stop/{account}/{group}/{signature}", produces = MediaType.TEXT_HTML_VALUE)
class MailStopController {
    private final MailStops stops;

    MailStopController(MailStops stops) {
        this.stops = stops;
    }

    @GetMapping
    String ask(@PathVariable String account, @PathVariable String group, @PathVariable String signature) {
        NoticeGroup of = stops.mustBeOurs(account, group, signature);
        return page("No more of these by mail?", """
                <p>%s: you will no longer get it by mail. Phone and calendar stay as they are.</p>
                <form method="post"><button>Send me no more of these</button></form>""".formatted(HtmlUtils.htmlEscape(of.label(), "UTF-8")));
    }

    /** What the button sends, or the mailbox itself (RFC 8058). */
    @TakesUpTo(TakesUpTo.FROM_STRANGERS)
    @PostMapping
    String stop(@PathVariable String account, @PathVariable String group, @PathVariable String signature) {
        stops.stop(account, group, signature);
        return page(
                "You get no more of these by mail.",
                "<p>In Elvaro, under Reminders, you can have them again: <a href=\"/reminders\">Reminders</a></p>");
    }

    private static String page(String title, String body) {
        return """
                <!doctype html><html lang="en"><head><meta charset="utf-8">
                <meta name="viewport" content="width=device-width"><title>Elvaro</title>
                <style>body{margin:0;padding:32px;background:#efe9dd;color:#2a1f1c;font:18px/1.5 sans-serif}
                button{font:inherit;padding:12px 20px;background:#7a2a22;color:#fff;border:0;border-radius:4px}</style>
                </head><body><h1>%s</h1>%s</body></html>""".formatted(title, body);
    }
}
