package elvaro.server.account;

import elvaro.server.shared.Secret;
import elvaro.server.shared.SignedIn;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Devices somebody has signed in on before, told by a cookie of their own. Before sign-in, so plain SQL. */
@Component
class KnownDevices {
    private static final String COOKIE = "elvaro-device";
    private static final Duration KNOWN_FOR = Duration.ofDays(400);

    private final JdbcClient database;
    private final Clock clock;

    KnownDevices(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    private static Optional<String> token(HttpServletRequest request) {
        return Stream.ofNullable(request.getCookies())
                .flatMap(Stream::of)
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .map(Cookie::getValue)
                .findFirst();
    }

    /** What the device is counted by, if somebody of this name signed in on it before. */
    Optional<String> known(HttpServletRequest request, String signInName) {
        return token(request)
                .map(Secret::hash)
                .filter(hash -> database.sql("select count(*) from known_device d join account a on a.id = d.account_id"
                                        + " where d.token_hash = ? and a.sign_in_name = ? and d.seen_at > ?")
                                .params(hash, SignInDirectory.canonical(signInName), oldest())
                                .query(Integer.class)
                                .single()
                        > 0);
    }

    private boolean isOurs(String token) {
        return database.sql("select count(*) from known_device where token_hash = ?")
                        .param(Secret.hash(token))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Remembers it, and takes away those not seen for long. */
    void remember(HttpServletRequest request, HttpServletResponse response, SignedIn person) {
        database.sql("delete from known_device where seen_at < ?")
                .param(oldest())
                .update();
        String token = token(request).filter(this::isOurs).orElseGet(Secret::make);
        database.sql("replace into known_device (token_hash, workshop_id, account_id, seen_at) values (?, ?, ?, ?)")
                .params(
                        Secret.hash(token),
                        person.workshopId().toString(),
                        person.accountId().toString(),
                        LocalDateTime.now(clock.withZone(ZoneOffset.UTC)))
                .update();
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, token)
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Strict")
                        .path("/api")
                        .maxAge(KNOWN_FOR)
                        .build()
                        .toString());
    }

    @EventListener
    void forget(PasswordChanged changed) {
        database.sql("delete from known_device where account_id = ?")
                .param(changed.accountId().toString())
                .update();
    }

    private LocalDateTime oldest() {
        return LocalDateTime.now(clock.withZone(ZoneOffset.UTC)).minus(KNOWN_FOR);
    }
}
