package elvaro.server.stock;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A pack that is sent without a last day, by whatever program, gets the workshop's own. */
class PackFormTest {
    private static final List<PackRule> RULES = List.of(
            new PackRule(UUID.randomUUID(), Content.STEAK, Wrap.VACUUM, Keeping.FROZEN, 90),
            new PackRule(UUID.randomUUID(), Content.TRIM, Wrap.VACUUM, Keeping.FROZEN, 0));

    @ParameterizedTest(name = "{0}, {1}, said {2}: {3}")
    @CsvSource({
        "STEAK, FROZEN, , 2026-04-30",
        "STEAK, FROZEN, 2026-02-10, 2026-02-10",
        "STEAK, CHILLED, , ",
        "TRIM, FROZEN, , ",
    })
    void the_last_day_is_what_was_said_or_what_the_rule_says(
            Content content, Keeping keeping, @Nullable LocalDate said, @Nullable LocalDate lastDay) {
        PackForm form = new PackForm(
                UUID.randomUUID(), content, 500, Wrap.VACUUM, keeping, LocalDate.of(2026, 1, 30), said, "");
        assertThat(form.withLastDay(RULES).useBy()).isEqualTo(lastDay);
    }
}
