package elvaro.core.game;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.game.CarcassYield.Weighed;
import elvaro.core.game.School.Knife;
import elvaro.core.game.School.Packed;
import elvaro.core.game.School.Trim;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Saw or seams, now or later; the shares themselves are estimates. */
class SchoolTest {
    private static final CarcassYield DEER = CarcassYield.of(Animal.FALLOW_DEER, 30_000, Weighed.HANGING);

    private static Packed packed(Knife knife, Trim trim) {
        return new School(knife, trim).packed(DEER);
    }

    @Test
    void along_the_seams_and_trimmed_at_once_what_is_packed_is_the_boneless_meat() {
        Packed plain = packed(Knife.SEAMS, Trim.NOW);
        assertThat(plain.packedGrams()).isEqualTo(DEER.realisticGrams()).isEqualTo(plain.meatGrams());
        assertThat(plain.boneGrams()).isZero();
        assertThat(plain.laterGrams()).isZero();
    }

    /** By hand: saddle, ribs and shanks are 0.38 of 30 kg, 11.4 kg; 28 % of it bone, 1 % dust. */
    @Test
    void a_saw_leaves_bone_in_the_packs_and_meat_on_the_floor() {
        Packed sawn = packed(Knife.SAW, Trim.NOW);
        assertThat(sawn.boneGrams()).isCloseTo(3_192, within(0.5));
        assertThat(DEER.realisticGrams() - sawn.meatGrams()).isCloseTo(114, within(0.5));
        assertThat(new School(Knife.SAW, Trim.NOW).cutsTheSpine()).isTrue();
        assertThat(new School(Knife.SEAMS, Trim.LATER).cutsTheSpine()).isFalse();
    }

    @ParameterizedTest
    @EnumSource(Knife.class)
    void what_is_trimmed_later_is_packed_now_and_no_meat(Knife knife) {
        Packed now = packed(knife, Trim.NOW);
        Packed later = packed(knife, Trim.LATER);
        assertThat(later.meatGrams()).isEqualTo(now.meatGrams());
        assertThat(later.laterGrams() / (later.packedGrams() - later.boneGrams()))
                .isCloseTo(0.12, within(1e-9));
        assertThat(later.packedGrams())
                .isCloseTo(later.meatGrams() + later.boneGrams() + later.laterGrams(), within(1e-9));
    }

    @Test
    void a_saddle_keeps_its_spine_only_under_the_saw_and_only_then_is_the_spine_spoken_of_as_sawn() {
        assertThat(Part.SADDLE.boneIn(Knife.SAW)).isTrue();
        assertThat(Part.SADDLE.boneIn(Knife.SEAMS)).isFalse();
        assertThat(Part.SADDLE.grams(30_000, Knife.SEAMS)).isCloseTo(4_500 * 0.72, within(0.5));
        assertThat(Part.SADDLE.see(Knife.SEAMS)).contains("stays whole");
        assertThat(Part.SADDLE.see(Knife.SAW)).contains("clear test");
        assertThat(Part.LEFT_RIBS.see(Knife.SAW)).contains("a chop to each");
        assertThat(Part.NECK.see(Knife.SAW)).isEqualTo(Part.NECK.see());
        assertThat(Part.NECK.boneIn(Knife.SEAMS)).isTrue();
    }
}
