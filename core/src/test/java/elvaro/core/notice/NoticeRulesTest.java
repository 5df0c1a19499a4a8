package elvaro.core.notice;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.notice.MorningList.Line;
import elvaro.core.notice.NoticeText.Said;
import elvaro.core.working.Units;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NoticeRulesTest {

    @ParameterizedTest
    @CsvSource({
        "21:00, 07:00, 23:30, true",
        "21:00, 07:00, 21:00, true",
        "21:00, 07:00, 06:59, true",
        "21:00, 07:00, 07:00, false",
        "21:00, 07:00, 12:00, false",
        "13:00, 15:00, 14:00, true",
        "13:00, 15:00, 15:00, false",
        "08:00, 08:00, 08:00, false"
    })
    void quiet_hours_hold_over_midnight_and_may_be_none(LocalTime from, LocalTime to, LocalTime at, boolean quiet) {
        assertThat(new QuietHours(from, to).holds(at)).isEqualTo(quiet);
    }

    @Test
    void only_the_air_never_waits() {
        assertThat(NoticeGroup.values()).filteredOn(group -> !group.waits()).containsExactly(NoticeGroup.AIR);
    }

    @Nested
    class Late {
        @Test
        void is_told_after_one_three_and_seven_days_and_then_every_week() {
            assertThat(LongStream.rangeClosed(1, 40).filter(days -> LateWork.isTold(days, 1)))
                    .containsExactly(1L, 3L, 7L, 14L, 21L, 28L, 35L);
        }

        @ParameterizedTest
        @CsvSource({"8, 2, true", "8, 1, false", "17, 4, true", "17, 3, false", "400, 400, true", "2, 1, false"})
        void what_fell_on_days_without_a_word_is_told_with_the_next(long days, long since, boolean told) {
            assertThat(LateWork.isTold(days, since)).isEqualTo(told);
        }

        @Test
        void grows_louder_and_reaches_the_owner_after_a_week() {
            assertThat(LateWork.loudness(1)).isEqualTo(Loudness.NORMAL);
            assertThat(LateWork.loudness(3)).isEqualTo(Loudness.LOUD);
            assertThat(LateWork.isForOwners(6)).isFalse();
            assertThat(LateWork.isForOwners(7)).isTrue();
        }
    }

    @Nested
    class Morning {
        private static Line line(String tag, long days) {
            return new Line(
                    "Pull",
                    tag,
                    "Ribeye",
                    days == 0 ? "its day is today" : "⟦days %d⟧ past its target".formatted(days),
                    days == 40
                            ? Optional.of("each further week costs about ⟦limit 180⟧ of steak, ⟦money 720⟧.")
                            : Optional.empty(),
                    days,
                    true,
                    "/pieces/" + tag);
        }

        @Test
        void says_what_is_late_first_and_what_waiting_costs() {
            NoticeText text = new MorningList(List.of(line("9B", 0)), List.of(line("22A", 40)), 3, List.of()).text();
            assertThat(Units.PLAIN.sentence(text.title())).isEqualTo("1 to do today, 1 late by 40 days");
            assertThat(text.sections().stream().map(NoticeText.Section::heading))
                    .containsExactly("Late", "Today", "Still open");
            assertThat(text.sections().get(0).said().get(0).words())
                    .isEqualTo("Pull 22A, Ribeye: ⟦days 40⟧ past its target;"
                            + " each further week costs about ⟦limit 180⟧ of steak, ⟦money 720⟧.");
        }

        @Test
        void is_one_list_of_a_length_one_reads_however_much_is_late() {
            MorningList list = new MorningList(
                    List.of(),
                    IntStream.range(0, 500).mapToObj(n -> line("1A" + n, 9)).toList(),
                    0,
                    List.of());
            List<Said> said = list.text().sections().get(0).said();
            assertThat(said).hasSize(13);
            assertThat(said.get(12).words()).isEqualTo("and 488 more, in the room.");
            assertThat(list.loudness()).isEqualTo(Loudness.LOUD);
        }

        @Test
        void what_is_said_of_several_things_alike_is_said_once() {
            List<Line> turned = List.of("30A", "30B", "30C").stream()
                    .map(tag -> new Line("Turn", tag, "Strip loin", "turn it today", Optional.empty(), 0, false, "/x"))
                    .toList();
            assertThat(MorningList.said(turned))
                    .extracting(Said::words)
                    .containsExactly("Turn 30A, 30B, 30C, Strip loin: turn it today.");
        }

        @Test
        void a_name_that_is_in_the_words_and_a_full_stop_are_not_said_twice() {
            Line air = new Line(
                    "Decide", "North Room", "air above 5", "air above 5, today", Optional.empty(), 0, true, "/");
            assertThat(air.sentence()).isEqualTo("Decide North Room: air above 5, today.");
            Line cloth = new Line("Treat", "35B", "Chuck roll", "Feel the cloth.", Optional.empty(), 0, true, "/");
            assertThat(cloth.sentence()).isEqualTo("Treat 35B, Chuck roll: Feel the cloth.");
        }

        @Test
        void says_nothing_where_only_what_was_told_before_is_open() {
            assertThat(new MorningList(List.of(), List.of(), 12, List.of()).isEmpty())
                    .isTrue();
            assertThat(new MorningList(List.of(), List.of(), 0, List.of("2 sheets are missing."))
                            .text()
                            .title())
                    .isEqualTo("1 thing is missing");
        }
    }
}
