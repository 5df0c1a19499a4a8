package elvaro.core.inspection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.drying.Method;
import elvaro.core.inspection.LookVerdict.Discard;
import elvaro.core.inspection.Observation.Colour;
import elvaro.core.inspection.Observation.Depth;
import elvaro.core.inspection.Observation.Extent;
import elvaro.core.inspection.Observation.Mould;
import elvaro.core.inspection.Observation.Smell;
import elvaro.core.inspection.Observation.Spot;
import elvaro.core.inspection.Observation.SurfaceFeel;
import elvaro.core.inspection.Rule.Answer;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The table of inspection rules, row by row: common practice, no source. */
class RulesTest {

    /** A look told in a few words: what is not said is as it should be. */
    private static Observation seen(String words) {
        Set<String> said = Set.of(words.split(" "));
        Set<Mould> moulds = pick(Mould.class, said);
        return new Observation(
                first(pick(Colour.class, said), Colour.DARK_RED),
                first(pick(SurfaceFeel.class, said), SurfaceFeel.DRY),
                moulds,
                moulds.isEmpty() ? Extent.NONE : Extent.PATCHES,
                first(pick(Smell.class, said), Smell.CLEAN),
                pick(Spot.class, said),
                said.contains("THROUGH") ? Depth.THROUGH : Depth.PART,
                said.contains("LIFTED") ? 25 : said.contains("ALMOST_LIFTED") ? 24 : 0,
                said.contains("OPEN"));
    }

    /** Colour and mould share the word GREEN; a mould is said as MOULD_GREEN. */
    private static <E extends Enum<E>> Set<E> pick(Class<E> type, Set<String> said) {
        String prefix = type == Mould.class ? "MOULD_" : "";
        return Arrays.stream(type.getEnumConstants())
                .filter(each -> said.contains(prefix + each.name()))
                .collect(Collectors.toSet());
    }

    private static <E> E first(Set<E> chosen, E otherwise) {
        return chosen.stream().findFirst().orElse(otherwise);
    }

    private static LookVerdict verdict(String words, Method method, double day) {
        return LookVerdict.of(seen(words), new Circumstances(method, day));
    }

    @ParameterizedTest(name = "{0} on day {2} of {1}: {3} for {4}")
    @CsvSource({
        "DARK_RED LEATHERY,                  OPEN_AIR, 20, CARRY_ON, CRUST",
        "BROWN DRY MOULD_WHITE_POWDER,       OPEN_AIR, 20, CARRY_ON, WHITE_BLOOM CRUST",
        "BRIGHT_RED TACKY,                   OPEN_AIR,  3, CARRY_ON, YOUNG",
        "BRIGHT_RED WET,                     MEMBRANE, 20, CARRY_ON, YOUNG",
        "TACKY,                              OPEN_AIR,  7, ACT,      WET",
        "WET,                                OPEN_AIR,  2, ACT,      WET",
        "WET,                                SALT_TRAY, 9, ACT,      WET",
        "LIFTED,                             MEMBRANE, 20, ACT,      LEAK",
        "ALMOST_LIFTED,                      MEMBRANE, 20, CARRY_ON, CRUST",
        "OPEN,                               MEMBRANE, 20, ACT,      LEAK",
        "LIFTED,                             OPEN_AIR, 20, CARRY_ON, CRUST",
        "FOLD,                               OPEN_AIR,  0, ACT,      FOLDS",
        "FAINTLY_ACID WET,                   VACUUM,   21, ACT,      FAINTLY_ACID",
        "MOULD_GREEN,                        OPEN_AIR, 20, STOP,     BAD_MOULD",
        "MOULD_BLUE MOULD_WHITE_POWDER,      OPEN_AIR, 20, STOP,     BAD_MOULD",
        "MOULD_BLACK,                        OPEN_AIR, 20, STOP,     BAD_MOULD",
        "MOULD_PINK,                         OPEN_AIR, 20, STOP,     BAD_MOULD",
        "MOULD_HAIRY,                        OPEN_AIR, 20, STOP,     BAD_MOULD",
        "SLIMY,                              OPEN_AIR, 20, STOP,     SLIME",
        "GREEN,                              OPEN_AIR, 20, STOP,     SLIME",
        "GAS WET,                            VACUUM,   10, STOP,     GAS",
        "SOUR,                               OPEN_AIR, 20, STOP,     FOUL_SMELL",
        "AMMONIA,                            OPEN_AIR, 20, STOP,     FOUL_SMELL",
        "PUTRID SOFT_ROT,                    FAT_SEAL, 20, STOP,     FOUL_SMELL SOFT_ROT",
        "GLAND_OR_BLOODSHOT,                 OPEN_AIR,  1, STOP,     GLAND",
        "SOUR FAINTLY_ACID_NOT LIFTED,       MEMBRANE, 20, STOP,     FOUL_SMELL",
    })
    void what_is_seen_has_its_answer_and_its_reason(
            String words, Method method, double day, Answer answer, String because) {
        LookVerdict verdict = verdict(words, method, day);
        assertThat(verdict.answer()).isEqualTo(answer);
        assertThat(verdict.because().stream().map(Enum::name)).containsExactlyInAnyOrder(because.split(" "));
    }

    @Test
    void to_stop_is_for_the_part_and_for_the_whole_where_it_goes_through() {
        assertThat(verdict("SOFT_ROT", Method.FAT_SEAL, 20).discard()).isEqualTo(Discard.PART);
        assertThat(verdict("SOFT_ROT THROUGH", Method.FAT_SEAL, 20).discard()).isEqualTo(Discard.WHOLE);
        assertThat(verdict("TACKY THROUGH", Method.OPEN_AIR, 20).discard()).isEqualTo(Discard.NOTHING);
    }

    @Test
    void nothing_worse_ever_makes_the_answer_milder() {
        Random random = new Random(4);
        for (int trial = 0; trial < 2_000; trial++) {
            EnumSet<Spot> spots = EnumSet.noneOf(Spot.class);
            EnumSet<Mould> moulds = EnumSet.noneOf(Mould.class);
            Arrays.stream(Mould.values()).filter(each -> random.nextInt(4) == 0).forEach(moulds::add);
            Arrays.stream(Spot.values()).filter(each -> random.nextInt(4) == 0).forEach(spots::add);
            Smell smell = Smell.values()[random.nextInt(Smell.values().length)];
            Circumstances at =
                    new Circumstances(Method.values()[random.nextInt(Method.values().length)], random.nextInt(40));
            Observation before = look(moulds, smell, spots);
            spots.add(Spot.values()[random.nextInt(Spot.values().length)]);
            moulds.add(Mould.values()[random.nextInt(Mould.values().length)]);
            Observation after = look(moulds, smell, spots);
            assertThat(LookVerdict.of(after, at).answer())
                    .as("%s then %s, seed 4, trial %d", before, after, trial)
                    .isGreaterThanOrEqualTo(LookVerdict.of(before, at).answer());
        }
    }

    private static Observation look(Set<Mould> moulds, Smell smell, Set<Spot> spots) {
        Extent extent = moulds.isEmpty() ? Extent.NONE : Extent.SPOTS;
        return new Observation(Colour.BROWN, SurfaceFeel.DRY, moulds, extent, smell, spots, Depth.PART, 0, false);
    }

    @ParameterizedTest
    @EnumSource(Rule.class)
    void no_rule_calls_anything_safe(Rule rule) {
        assertThat((rule.seen() + rule.reason()).toLowerCase()).doesNotContain("safe");
        assertThat(rule.reason()).endsWith(".");
        assertThat(rule.makes().isPresent()).isEqualTo(rule.answer() == Answer.ACT);
    }

    @Test
    void a_look_is_told_in_one_line() {
        assertThat(seen("GREY WET MOULD_PINK MOULD_BLUE SOUR SOFT_ROT THROUGH LIFTED OPEN")
                        .told())
                .isEqualTo(
                        "grey, wet, blue and pink mould, patches, smells sour, soft rot, 25 % of the membrane lifted,"
                                + " seal open, through the piece");
        assertThat(seen("").told()).isEqualTo("dark red, dry, no mould, smells clean");
    }

    @Test
    void mould_that_is_nowhere_and_a_share_above_all_are_no_look() {
        assertThatThrownBy(() -> new Observation(
                        Colour.BROWN,
                        SurfaceFeel.DRY,
                        Set.of(Mould.BLUE),
                        Extent.NONE,
                        Smell.CLEAN,
                        Set.of(),
                        Depth.PART,
                        0,
                        false))
                .hasMessageContaining("how far the mould goes");
        assertThatThrownBy(() -> new Observation(
                        Colour.BROWN,
                        SurfaceFeel.DRY,
                        Set.of(),
                        Extent.NONE,
                        Smell.CLEAN,
                        Set.of(),
                        Depth.PART,
                        101,
                        false))
                .hasMessageContaining("0 to 100");
    }
}
