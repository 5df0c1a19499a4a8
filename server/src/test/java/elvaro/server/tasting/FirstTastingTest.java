package elvaro.server.tasting;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Finish;
import elvaro.core.tasting.TastingKind;
import elvaro.server.tasting.FirstTasting.FirstSample;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FirstTastingTest {
    @Test
    void a_tasting_begins_with_two_samples_and_liking_alone() {
        FirstTasting first = FirstTasting.usual(List.of());
        assertThat(first.samples()).hasSize(2);
        assertThat(first.kind()).isEqualTo(TastingKind.PAIRED);
        assertThat(first.attributes()).extracting(Attribute::key).containsExactly(Attribute.LIKING);
    }

    @ParameterizedTest(name = "{0} arms: {1}")
    @CsvSource({"2, PAIRED", "3, RANKING", "6, RANKING"})
    void two_arms_are_set_against_each_other_and_more_are_put_in_order(int arms, TastingKind kind) {
        FirstSample arm = FirstSample.ofArm("Honey", UUID.randomUUID(), UUID.randomUUID(), "41A", Finish.NOTHING);
        FirstTasting first = FirstTasting.of("Is it liked more?", UUID.randomUUID(), Collections.nCopies(arms, arm));
        assertThat(first.kind()).isEqualTo(kind);
        assertThat(first.samples()).hasSize(arms);
    }
}
