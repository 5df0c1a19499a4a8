package elvaro.devices;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class InboxTest {

    private static void mail(int port, String id) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII));
            OutputStream out = socket.getOutputStream();
            in.readLine();
            for (String line : new String[] {
                "HELO test",
                "MAIL FROM:<elvaro@brackenrow.example>",
                "RCPT TO:<maren@brackenrow.example>",
                "DATA",
                "Message-ID: <%s@house>\r\nSubject: North Room: 9 deg\r\nImportance: high\r\n\r\nSince <01:12>.\r\n."
                        .formatted(id)
            }) {
                out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
                in.readLine();
            }
        }
    }

    @Test
    void a_mail_is_kept_once_however_often_it_comes_and_is_read_on_a_page(@TempDir Path folder) throws Exception {
        try (Inbox inbox = new Inbox(0, 0, folder.resolve("keys"), "idris")) {
            inbox.start();
            mail(inbox.mailPort(), "one");
            mail(inbox.mailPort(), "one");
            assertThat(inbox.received().all()).hasSize(1);
            assertThat(inbox.received().repeated()).isOne();
            HttpClient http = HttpClient.newHttpClient();
            URI page = URI.create("http://127.0.0.1:%d/".formatted(inbox.pagePort()));
            String text = http.send(HttpRequest.newBuilder(page).build(), BodyHandlers.ofString())
                    .body();
            assertThat(text).contains("North Room: 9 deg", "Mail to maren@brackenrow.example", "class=\"loud\"");
            HttpRequest unsigned = HttpRequest.newBuilder(page.resolve("/push/idris"))
                    .POST(BodyPublishers.ofString("not locked"))
                    .build();
            assertThat(http.send(unsigned, BodyHandlers.discarding()).statusCode())
                    .isEqualTo(403);
        }
    }

    @Test
    void a_phone_is_the_same_after_the_next_start(@TempDir Path folder) throws Exception {
        String before;
        try (Inbox inbox = new Inbox(0, 0, folder.resolve("keys"), "idris")) {
            before = inbox.reachedBy().getProperty("idris").split(" ")[1];
        }
        try (Inbox inbox = new Inbox(0, 0, folder.resolve("keys"), "idris", "maren")) {
            assertThat(inbox.reachedBy().getProperty("idris").split(" ")[1]).isEqualTo(before);
        }
    }
}
