package elvaro.server.support;

import elvaro.core.working.Units;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.HttpURLConnection;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The API as a browser speaks to it: cookies, CSRF token, JSON. */
public class Api {
    static final JsonMapper JSON = new JsonMapper();

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String base;
    private Units units = Units.PLAIN;

    Api(int port) {
        base = "http://127.0.0.1:" + port;
    }

    /** What came back. */
    public record Answer(int status, JsonNode body) {
        public String type() {
            return body.path("type").asString("").replace("urn:elvaro:", "");
        }

        public List<String> questions() {
            return body.path("questions")
                    .valueStream()
                    .map(question -> question.path("id").asString())
                    .toList();
        }
    }

    public Answer get(String path) {
        return send("GET", path, null);
    }

    /** Sentences are told in these from now on; else plainly, in grams and °C. */
    public void reads(Units wanted) {
        units = wanted;
    }

    /** How what comes back is packed for the way, to one who can read that; empty for not at all. */
    public String packing(String path) {
        try {
            return http.send(
                            request(path)
                                    .header("Accept-Encoding", "br, gzip")
                                    .GET()
                                    .build(),
                            BodyHandlers.discarding())
                    .headers()
                    .firstValue("Content-Encoding")
                    .orElse("");
        } catch (IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** Reads an answer without looking into it, for loads. */
    public int status(String path) {
        String mine = cookies.getCookieStore().getCookies().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
        return plainly("GET", path, Map.of("Cookie", mine), new byte[0]);
    }

    /** The same by whoever has no session and brings a token. */
    public int status(String method, String path, String token, Map<String, ?> body) {
        return plainly(
                method,
                path,
                Map.of("Authorization", "Bearer " + token, "Content-Type", "application/json"),
                body == null ? new byte[0] : JSON.writeValueAsBytes(body));
    }

    /**
     * Over the plain old connection: it wakes no threads of its own, which on two cores would be taken for the server's time.
     *
     * @param body what is sent; of no length for nothing
     */
    public int plainly(String method, String path, Map<String, String> heads, byte[] body) {
        try {
            HttpURLConnection connection =
                    (HttpURLConnection) URI.create(base + path).toURL().openConnection();
            connection.setRequestMethod(method);
            heads.forEach(connection::setRequestProperty);
            if (body.length > 0) {
                connection.setDoOutput(true);
                connection.setFixedLengthStreamingMode(body.length);
                try (OutputStream out = connection.getOutputStream()) {
                    out.write(body);
                }
            }
            int status = connection.getResponseCode();
            try (InputStream answer = status < 400 ? connection.getInputStream() : connection.getErrorStream()) {
                answer.transferTo(OutputStream.nullOutputStream()); // to its end, so that the connection is used again
            }
            return status;
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** What came back, as text. */
    public String text(String path) {
        return whole(path, "").body();
    }

    /** What came back with its headers, to one who has an answer of this tag already. */
    public HttpResponse<String> whole(String path, String tag) {
        try {
            return http.send(request(path).header("If-None-Match", tag).GET().build(), BodyHandlers.ofString());
        } catch (IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** Server-sent events as they come; closing the stream goes away. */
    public Stream<String> events(String path) {
        try {
            return http.send(request(path).GET().build(), BodyHandlers.ofLines())
                    .body();
        } catch (IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** A picture sent, and bytes that came back. */
    public HttpResponse<byte[]> bytes(String method, String path, byte[] sent) {
        return bytes(method, path, "image/jpeg", sent);
    }

    /** Bytes sent and bytes that came back. */
    public HttpResponse<byte[]> bytes(String method, String path, String type, byte[] sent) {
        try {
            return http.send(
                    request(path)
                            .header("Content-Type", type)
                            .method(method, BodyPublishers.ofByteArray(sent))
                            .build(),
                    BodyHandlers.ofByteArray());
        } catch (IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** A file as the screen sends it. */
    public Answer file(String path, String text) {
        return exchange(
                request(path).header("Content-Type", "application/octet-stream").POST(BodyPublishers.ofString(text)));
    }

    /** A pack as a probe sends it. */
    public Answer pack(String token, String pack) {
        return device("/devices/readings", token, pack);
    }

    /** A pack as a probe sends it that speaks otherwise than in plain JSON. */
    public Answer pack(String token, byte[] pack, String type, String encoding) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + "/devices/readings"))
                .header("Authorization", "bearer " + token)
                .header("Content-Type", type)
                .POST(BodyPublishers.ofByteArray(pack));
        return exchange(encoding.isEmpty() ? request : request.header("Content-Encoding", encoding));
    }

    /** A pack as a device sends it. */
    public Answer device(String path, String token, String pack) {
        return exchange(HttpRequest.newBuilder(URI.create(base + path))
                .header("Authorization", "Bearer " + token)
                .header("Content-Type", "application/senml+json")
                .POST(BodyPublishers.ofString(pack)));
    }

    public Answer put(String path, Map<String, ?> body) {
        return send("PUT", path, body);
    }

    public Answer post(String path, Map<String, ?> body) {
        return send("POST", path, body);
    }

    public Answer signIn(String name, String password) {
        return signInAt("/api/sign-in", name, password);
    }

    /** By another spelling of the path. */
    public Answer signInAt(String path, String name, String password) {
        get("/api/session"); // brings the CSRF token
        String form = "username=" + encode(name) + "&password=" + encode(password);
        return exchange(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .method("POST", BodyPublishers.ofString(form)));
    }

    /** With a header that says where it is from. */
    public Answer signInFrom(String address, String name, String password) {
        get("/api/session");
        String form = "username=" + encode(name) + "&password=" + encode(password);
        return exchange(request("/api/sign-in")
                .header("X-Forwarded-For", address)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .method("POST", BodyPublishers.ofString(form)));
    }

    /** From a screen that was drawn for somebody. */
    public Answer putAs(UUID person, String path, Map<String, ?> body) {
        return exchange(request(path)
                .header("X-Elvaro-Person", person.toString())
                .header("Content-Type", "application/json")
                .PUT(BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    public Answer send(String method, String path, Map<String, ?> body) {
        HttpRequest.Builder request = request(path);
        if (body == null) {
            return exchange(request.method(method, BodyPublishers.noBody()));
        }
        return exchange(request.header("Content-Type", "application/json")
                .method(method, BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** Forgets the CSRF token, as a page of another site would not know it. */
    public void forgetCsrfToken() {
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .toList()
                .forEach(cookie -> cookies.getCookieStore().remove(URI.create(base), cookie));
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path));
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .forEach(token -> request.header("X-XSRF-TOKEN", token));
        return request;
    }

    private Answer exchange(HttpRequest.Builder request) {
        try {
            var response = http.send(request.build(), BodyHandlers.ofString());
            String text = units.sentence(response.body()); // as a screen would
            boolean json = text.startsWith("{") || text.startsWith("[");
            return new Answer(response.statusCode(), json ? JSON.readTree(text) : JSON.createObjectNode());
        } catch (IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** A taster's phone, which brings the token of its link. */
    public Answer phone(String method, String path, String token, Map<String, ?> body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Authorization", "Bearer " + token)
                .header("Content-Type", "application/json");
        return exchange(
                body == null
                        ? request.method(method, BodyPublishers.noBody())
                        : request.method(method, BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** What is behind a link, as it comes. */
    public byte[] opened(String path, String token) {
        HttpRequest request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Authorization", "Bearer " + token)
                .build();
        try {
            return http.send(request, BodyHandlers.ofByteArray()).body();
        } catch (IOException | InterruptedException failure) {
            throw new IllegalStateException(failure);
        }
    }
}
