package elvaro.server.channel;

import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpClient.Redirect;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.Optional;

/** Calls of other machines over HTTP: no longer than they are worth, never led on elsewhere, their words thrown away. */
final class HttpCall {
    private static final Duration CONNECT = Duration.ofSeconds(5);
    private static final Duration ANSWER = Duration.ofSeconds(10);
    private static final long LONGEST_PAUSE = 3_600;
    private static final HttpClient HTTP = HttpClient.newBuilder()
            .connectTimeout(CONNECT)
            .followRedirects(Redirect.NEVER)
            .build();

    private HttpCall() {}

    static HttpRequest.Builder to(String address) {
        return HttpRequest.newBuilder(URI.create(address)).timeout(ANSWER);
    }

    /** What came of it: 2xx took it, what is busy is tried again, all else is final. */
    static Sent send(HttpRequest request, String who) {
        try {
            return fate(HTTP.send(request, BodyHandlers.discarding()), who);
        } catch (IOException away) {
            return Sent.failed("%s does not answer: %s".formatted(who, words(away)));
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
            return Sent.failed("Elvaro was ended meanwhile.");
        }
    }

    private static String words(IOException failure) {
        return failure.getMessage() == null ? failure.getClass().getSimpleName() : failure.getMessage();
    }

    private static Sent fate(HttpResponse<Void> response, String who) {
        int status = response.statusCode();
        String answer = "%s answers %d.".formatted(who, status);
        if (status / 100 == 2) {
            return Sent.taken(answer);
        }
        if (status == 404 || status == 410) {
            return new Sent(Sent.Fate.GONE, answer, Optional.empty());
        }
        if (status / 100 == 5 || status == 408 || status == 425 || status == 429) {
            return new Sent(
                    Sent.Fate.FAILED,
                    answer,
                    response.headers()
                            .firstValue("Retry-After")
                            .filter(value -> value.matches("[0-9]{1,6}"))
                            .map(seconds -> Math.min(Long.parseLong(seconds), LONGEST_PAUSE))
                            .map(Duration::ofSeconds));
        }
        return Sent.refused(answer);
    }

    /** Whether an address leads into the machine or the network Elvaro stands in. */
    static boolean isInside(String host) {
        try {
            for (InetAddress each : InetAddress.getAllByName(host)) {
                if (each.isLoopbackAddress()
                        || each.isSiteLocalAddress()
                        || each.isLinkLocalAddress()
                        || each.isAnyLocalAddress()) {
                    return true;
                }
            }
            return false;
        } catch (UnknownHostException nowhere) {
            return false;
        }
    }
}
