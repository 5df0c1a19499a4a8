package elvaro.core.trial;

import static elvaro.core.trial.Design.FlawKind.ALSO_DIFFERS;
import static elvaro.core.trial.Design.FlawKind.ANECDOTE;
import static elvaro.core.trial.Design.FlawKind.EMPTY_ARM;
import static elvaro.core.trial.Design.FlawKind.MIXED_ARM;
import static elvaro.core.trial.Design.FlawKind.NOTHING_COMPARED;
import static elvaro.core.trial.Design.FlawKind.NO_CONTROL;
import static elvaro.core.trial.Design.FlawKind.OTHER_ANIMALS;
import static elvaro.core.trial.Design.FlawKind.OTHER_START;
import static elvaro.core.trial.Design.FlawKind.SCENTED;
import static elvaro.core.trial.Design.FlawKind.SEVERAL_CHANGES;
import static elvaro.core.trial.Design.FlawKind.SIZES;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import elvaro.core.drying.Method;
import elvaro.core.trial.Design.Arm;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Design.FlawKind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What makes a trial fair: common practice of comparative trials, no source for the limits. */
class DesignTest {

    /** A piece, as words that say how it differs from a plain striploin of lot 41. */
    private static Facts piece(String words) {
        return new Facts(
                "41A",
                words.contains("otherLot") ? "44" : "41",
                words.contains("otherFarm") ? "Sallow Estate" : "Hollin Farm",
                words.contains("oldCow") ? "old cow" : "young steer",
                words.contains("ribeye") ? "Ribeye" : "Striploin",
                words.contains("bone"),
                5,
                words.contains("heavy") ? 4700 : words.contains("heavier") ? 4600 : 4000,
                words.contains("fresh"),
                LocalDate.of(2026, 3, 2).plusDays(words.contains("later") ? 2 : words.contains("nextDay") ? 1 : 0),
                words.contains("fresh") ? 0 : words.contains("longer") ? 48 : words.contains("39") ? 39 : 38,
                words.contains("locker") ? "Stone Locker" : words.contains("chest") ? "Long chest" : "North Room",
                words.contains("ice") ? Method.ON_ICE : words.contains("bag") ? Method.MEMBRANE : Method.OPEN_AIR,
                words.contains("honey") ? "honey" : Facts.PLAIN,
                words.contains("noOrder") ? "" : words.contains("trimFirst") ? "trim first" : "slice first",
                words.contains("scented") ? List.of("22B, spirit") : List.of());
    }

    private static Arm arm(String name, boolean control, String... pieces) {
        return new Arm(
                name, control, Arrays.stream(pieces).map(DesignTest::piece).toList());
    }

    private static Design two(Factor factor, String control, String other) {
        return new Design(factor, List.of(arm("Plain", true, control, control), arm("Other", false, other, other)));
    }

    static Stream<Arguments> designs() {
        Design three = new Design(
                Factor.TREATMENT,
                List.of(
                        arm("Plain", true, "", ""),
                        arm("Honey", false, "honey", "honey"),
                        arm("Bag", false, "bag", "bag")));
        return Stream.of(
                arguments("halves of one lot, honey on one", two(Factor.TREATMENT, "", "honey"), List.of()),
                arguments("a day apart", two(Factor.TREATMENT, "", "honey nextDay"), List.of()),
                arguments("a little heavier", two(Factor.TREATMENT, "", "honey heavier"), List.of()),
                arguments("ten days more", two(Factor.DAYS, "", "longer"), List.of()),
                arguments("a day more, which is none", two(Factor.TREATMENT, "", "honey 39"), List.of()),
                arguments("a day more, where days are asked", two(Factor.DAYS, "", "39"), List.of(NOTHING_COMPARED)),
                arguments("an order nobody wrote down", two(Factor.TREATMENT, "noOrder", "honey trimFirst"), List.of()),
                arguments("spirit beside the control", two(Factor.TREATMENT, "scented", "honey"), List.of(SCENTED)),
                arguments("aged against fresh", two(Factor.AGEING, "fresh", ""), List.of()),
                arguments(
                        "a fresh third arm beside a coat and its control",
                        new Design(
                                Factor.TREATMENT,
                                List.of(
                                        arm("Plain", true, "", ""),
                                        arm("Honey", false, "honey", "honey"),
                                        arm("Fresh", false, "fresh", "fresh"))),
                        List.of()),
                arguments(
                        "a coat against fresh",
                        two(Factor.TREATMENT, "fresh", "honey"),
                        List.of(SEVERAL_CHANGES, ALSO_DIFFERS)),
                arguments(
                        "two grades, each fresh and aged",
                        new Design(
                                Factor.AGEING,
                                List.of(
                                        arm("Steer fresh", true, "fresh", "fresh"),
                                        arm("Steer aged", false, "", ""),
                                        arm("Cow fresh", false, "fresh oldCow otherLot", "fresh oldCow otherLot"),
                                        arm("Cow aged", false, "oldCow otherLot", "oldCow otherLot"))),
                        List.of()),
                arguments("another chamber", two(Factor.CHAMBER, "", "locker"), List.of()),
                arguments("a bag", two(Factor.METHOD, "", "bag"), List.of()),
                arguments("on ice, in the chest it needs", two(Factor.HANG_OR_ICE, "", "ice chest"), List.of()),
                arguments("cut another way", two(Factor.BENCH_ORDER, "", "trimFirst"), List.of()),
                arguments(
                        "two lots, each in both arms",
                        new Design(
                                Factor.TREATMENT,
                                List.of(
                                        arm("Plain", true, "", "otherLot"),
                                        arm("Honey", false, "honey", "honey otherLot"))),
                        List.of()),
                arguments(
                        "no control",
                        new Design(
                                Factor.TREATMENT, List.of(arm("A", false, "", ""), arm("B", false, "honey", "honey"))),
                        List.of(NO_CONTROL)),
                arguments("nothing changed", two(Factor.TREATMENT, "", ""), List.of(NOTHING_COMPARED)),
                arguments(
                        "honey on one piece of the arm only",
                        new Design(
                                Factor.TREATMENT,
                                List.of(arm("Plain", true, "", ""), arm("Honey", false, "honey", ""))),
                        List.of(MIXED_ARM)),
                arguments(
                        "another animal",
                        two(Factor.TREATMENT, "", "honey otherLot"),
                        List.of(OTHER_ANIMALS, ANECDOTE)),
                arguments(
                        "an old cow: the animal is the question",
                        two(Factor.GRADE, "", "oldCow otherLot"),
                        List.of(OTHER_ANIMALS, ANECDOTE)),
                arguments("two days later", two(Factor.TREATMENT, "", "honey later"), List.of(OTHER_START)),
                arguments("more than 15 % heavier", two(Factor.TREATMENT, "", "honey heavy"), List.of(SIZES)),
                arguments(
                        "honey and ten days more",
                        two(Factor.TREATMENT, "", "honey longer"),
                        List.of(SEVERAL_CHANGES, ALSO_DIFFERS)),
                arguments(
                        "honey in another chamber on another cut of another animal",
                        two(Factor.TREATMENT, "", "honey locker ribeye otherLot"),
                        List.of(SEVERAL_CHANGES, OTHER_ANIMALS, ALSO_DIFFERS, ALSO_DIFFERS, ANECDOTE)),
                arguments(
                        "asked about days, changed the chamber",
                        two(Factor.DAYS, "", "locker"),
                        List.of(NOTHING_COMPARED, ALSO_DIFFERS)),
                arguments("a third arm in a bag", three, List.of(SEVERAL_CHANGES, ALSO_DIFFERS)),
                arguments(
                        "one piece each",
                        new Design(Factor.TREATMENT, List.of(arm("Plain", true, ""), arm("Honey", false, "honey"))),
                        List.of(ANECDOTE)),
                arguments(
                        "an arm without a piece",
                        new Design(Factor.TREATMENT, List.of(arm("Plain", true, ""), arm("Honey", false))),
                        List.of(EMPTY_ARM)));
    }

    @ParameterizedTest(name = "{0}: {2}")
    @MethodSource("designs")
    void a_design_has_these_flaws_and_no_others(String what, Design design, List<FlawKind> flaws) {
        assertThat(design.flaws()).extracting(Flaw::kind).containsExactlyElementsOf(flaws);
    }

    @Test
    void a_flaw_names_what_differs_in_which_arm() {
        Flaw flaw = two(Factor.TREATMENT, "", "honey locker").flaws().get(1);
        assertThat(flaw.sentence()).isEqualTo("The arms also differ in chamber: Plain North Room; Other Stone Locker.");
        assertThat(flaw.mend()).isEqualTo("Make chamber the same in all arms.");
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("designs")
    void the_order_of_arms_and_pieces_is_of_no_matter(String what, Design design, List<FlawKind> flaws) {
        List<Arm> turned = new ArrayList<>();
        for (Arm arm : design.arms()) {
            List<Facts> pieces = new ArrayList<>(arm.pieces());
            Collections.reverse(pieces);
            turned.add(0, new Arm(arm.name(), arm.control(), pieces));
        }
        assertThat(new Design(design.factor(), turned).flaws())
                .extracting(Flaw::kind)
                .containsExactlyInAnyOrderElementsOf(flaws);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("designs")
    void doing_it_all_twice_mends_the_anecdote_of_one_piece_and_nothing_else(
            String what, Design design, List<FlawKind> flaws) {
        List<Arm> doubled = design.arms().stream()
                .map(arm -> new Arm(
                        arm.name(),
                        arm.control(),
                        Stream.concat(arm.pieces().stream(), arm.pieces().stream())
                                .toList()))
                .toList();
        assertThat(new Design(design.factor(), doubled).flaws())
                .extracting(Flaw::kind)
                .containsExactlyElementsOf(flaws.stream()
                        .filter(kind -> kind != ANECDOTE || flaws.contains(OTHER_ANIMALS))
                        .toList());
    }

    @Test
    void what_cannot_be_mended_is_said_to_be_so() {
        Flaw flaw = two(Factor.GRADE, "", "oldCow otherLot").flaws().get(0);
        assertThat(flaw.sentence())
                .isEqualTo(
                        "The arms do not come from the same animals: Plain lot 41; Other lot 44. Two animals differ in"
                                + " more than grade.");
        assertThat(flaw.mend()).isEqualTo("That cannot be helped here: take three or more animals for each arm.");
        assertThat(two(Factor.TREATMENT, "", "honey otherLot").flaws().get(0).mend())
                .isEqualTo("Split one lot into all the arms.");
    }

    @Test
    void one_arm_alone_is_no_trial() {
        assertThatThrownBy(() -> new Design(Factor.TREATMENT, List.of(arm("Plain", true, ""))))
                .hasMessage("A trial has two arms at least.");
        assertThatThrownBy(() -> Draw.of(2, 1, 7)).hasMessage("A draw needs two arms and a part for each.");
        assertThatThrownBy(() -> Effect.of(List.of(), List.of(), 0)).hasMessage("Both arms need a figure.");
    }
}
