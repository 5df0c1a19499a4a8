package elvaro.server.notice;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.notice.Told.Mail;
import elvaro.server.reading.AirHistory;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Nine days lived through with a clock that is moved: what was told to whom and when, as a table. */
@ExtendWith(RunningApp.class)
class WeekIT {
    private static final ZoneId HOUSE = ZoneId.of("Europe/Berlin");

    /** One line of the table. */
    private record Line(int day, LocalTime at, String to, String subject) {
        @Override
        public String toString() {
            return "day %d %s %-6s %s".formatted(day, at, to, subject);
        }
    }

    @Test
    void a_week_in_which_nobody_comes_and_a_compressor_dies_at_night(Someone maren) {
        try (Told told = new Told(maren)) {
            Client client = maren.client();
            String idris = RunningApp.invited(client, UUID.randomUUID() + "@test.example");
            String idrisMail = idrisMail(client, idris);
            String chamber = Told.id();
            Map<String, Object> room = new HashMap<>(Bodies.chamberBody(chamber, "North Room", 180_000));
            room.put("keeperId", idris);
            client.must(client.put("/api/chambers/" + chamber, room));
            client.deviceToken(Told.id(), chamber);
            LocalDate first = Bodies.today().plusDays(1);
            // Its target is day 1; nobody weighs, turns, looks or pulls.
            client.hangAgo(27, chamber, 28 + 1, 6000);
            List<Line> table = new ArrayList<>();
            Instant end = first.plusDays(9).atStartOfDay(HOUSE).toInstant();
            for (Instant now = first.atTime(6, 0).atZone(HOUSE).toInstant();
                    now.isBefore(end);
                    now = now.plus(step(first, now))) {
                RunningApp.clock().show(now);
                int day = (int) first.until(LocalDate.ofInstant(now, HOUSE)).getDays();
                LocalTime time = LocalTime.ofInstant(now, HOUSE);
                boolean dead = day == 3 && time.isAfter(LocalTime.of(1, 0)) && time.isBefore(LocalTime.of(4, 0));
                double celsius = dead ? 9.2 : 2.1;
                measured(maren, chamber, now, celsius);
                told.look();
                for (Mail mail : told.news()) {
                    table.add(new Line(day, time, mail.to().equals(idrisMail) ? "Idris" : "Maren", mail.subject()));
                }
            }
            assertThat(table.stream().map(Line::toString))
                    .containsExactly(
                            "day 0 07:00 Idris  2 to do today",
                            "day 1 07:00 Idris  1 to do today",
                            "day 2 07:00 Idris  1 late by 1 day",
                            // The compressor dies at 01:05 and is found by itself at half past one and five minutes.
                            "day 3 01:35 Idris  North Room: 9.2 °C, above 5.0 °C for 30 minutes",
                            "day 3 01:50 Maren  North Room: 9.2 °C, above 5.0 °C for 45 minutes",
                            "day 3 02:35 Idris  North Room: 9.2 °C, above 5.0 °C for 90 minutes",
                            "day 3 02:50 Maren  North Room: 9.2 °C, above 5.0 °C for 105 minutes",
                            "day 3 03:35 Idris  North Room: 9.2 °C, above 5.0 °C for 2 hours",
                            "day 3 03:50 Maren  North Room: 9.2 °C, above 5.0 °C for 2 hours",
                            "day 3 04:15 Idris  North Room is cold again",
                            "day 3 04:15 Maren  North Room is cold again",
                            // What to make of it can wait for the morning.
                            "day 3 07:00 Idris  1 to do today",
                            "day 4 07:00 Idris  2 late, up to 3 days",
                            "day 6 07:00 Idris  1 late by 3 days",
                            // After a week the owner hears of it too.
                            "day 8 07:00 Idris  1 late by 7 days",
                            "day 8 07:00 Maren  1 late by 7 days");
        }
    }

    private static Duration step(LocalDate first, Instant now) {
        Duration into =
                Duration.between(first.plusDays(3).atTime(1, 0).atZone(HOUSE).toInstant(), now);
        return !into.isNegative() && into.toHours() < 4 ? Duration.ofMinutes(5) : Duration.ofMinutes(30);
    }

    /** As a probe would have sent it, but for the limit of packs a minute. */
    private static void measured(Someone owner, String chamber, Instant at, double celsius) {
        RunningApp.bean(CurrentWorkshop.class).actingAs(owner.person(), () -> {
            RunningApp.bean(AirHistory.class)
                    .keep(UUID.fromString(chamber), List.of(new AirHistory.Past(at, celsius, 80.0, null)));
            return true;
        });
    }

    private static String idrisMail(Client client, String id) {
        return client.get("/api/people")
                .body()
                .valueStream()
                .filter(person -> person.path("id").asString().equals(id))
                .findFirst()
                .orElseThrow()
                .path("signInName")
                .asString();
    }
}
