package elvaro.server.rehearsal;

import elvaro.server.shared.HouseTime;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.AsyncHandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Around every request of somebody in a rehearsal: the clock is its clock, and what reaches beyond the work on a piece is
 * shut: people, devices, files, messages, the machine.
 */
@Component
class RehearsalGate implements AsyncHandlerInterceptor, WebMvcConfigurer {
    private static final Set<HttpMethod> READS = Set.of(HttpMethod.GET, HttpMethod.HEAD, HttpMethod.OPTIONS);

    /** What is done to meat. */
    private static final Set<String> OPEN = Set.of(
            "bench", "hanging", "lot", "look", "rehearsal", "scale", "stock", "table", "tasting", "task", "trial");

    private static final String FEATURES = "elvaro.server.";

    private final JdbcClient database;
    private final HouseTime time;

    RehearsalGate(JdbcClient database, HouseTime time) {
        this.database = database;
        this.time = time;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    private static Optional<SignedIn> rehearsing() {
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        return now != null && now.getPrincipal() instanceof SignedIn person
                ? Optional.of(person).filter(each -> each.outside().isPresent())
                : Optional.empty();
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        HouseTime.goAhead(null);
        Optional<SignedIn> person = rehearsing();
        if (person.isEmpty() || !(handler instanceof HandlerMethod method)) {
            return true;
        }
        boolean writes = !READS.contains(HttpMethod.valueOf(request.getMethod()));
        String feature = feature(method);
        if (writes && !OPEN.contains(feature)) {
            throw Refusal.conflict("in-rehearsal", "That is no part of a rehearsal. Leave it first.");
        }
        boolean isOver = goAhead(person.get().workshopId(), writes);
        if (writes && isOver && !feature.equals("rehearsal")) {
            throw Refusal.conflict("over", "This rehearsal is over, and stays as it is.");
        }
        return true;
    }

    private static String feature(HandlerMethod method) {
        String name = method.getBeanType().getPackageName();
        return name.startsWith(FEATURES) ? name.substring(FEATURES.length()) : name;
    }

    private record WhenSet(Instant house, Instant at, boolean isOver) {}

    /**
     * Whoever writes is at work, and their clock goes on from there, unless somebody set it meanwhile.
     *
     * @return whether the rehearsal is over
     */
    private boolean goAhead(UUID house, boolean writes) {
        Instant machine = time.ofTheMachine().truncatedTo(ChronoUnit.MICROS);
        Optional<WhenSet> found = database.sql("select house_at, set_at, ended_at from rehearsal where workshop_id = ?")
                .param(house)
                .query((row, number) -> new WhenSet(utc(row, 1), utc(row, 2), row.getObject(3) != null))
                .optional();
        found.ifPresent(set -> {
            Instant now = Rehearsal.shown(set.house(), set.at(), machine);
            if (writes) {
                database.sql("update rehearsal set house_at = ?, set_at = ? where workshop_id = ?"
                                + " and house_at = ? and set_at = ? and ended_at is null")
                        .params(utc(now), utc(machine), house, utc(set.house()), utc(set.at()))
                        .update();
            }
            HouseTime.goAhead(Duration.between(machine, now));
        });
        return found.filter(WhenSet::isOver).isPresent();
    }

    private static LocalDateTime utc(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }

    private static Instant utc(ResultSet row, int column) throws SQLException {
        return row.getObject(column, LocalDateTime.class).toInstant(ZoneOffset.UTC);
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failure) {
        HouseTime.goAhead(null);
    }

    @Override
    public void afterConcurrentHandlingStarted(
            HttpServletRequest request, HttpServletResponse response, Object handler) {
        HouseTime.goAhead(null);
    }
}
