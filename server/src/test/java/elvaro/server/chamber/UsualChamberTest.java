package elvaro.server.chamber;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.air.ChamberKind;
import jakarta.validation.Validation;
import jakarta.validation.ValidatorFactory;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class UsualChamberTest {
    @ParameterizedTest
    @EnumSource
    void what_is_offered_of_each_kind_can_be_kept_as_it_is(ChamberKind kind) {
        ChamberForm usual = UsualChamber.of(kind, UUID.randomUUID());
        assertThat(usual.kind()).isEqualTo(kind);
        try (ValidatorFactory rules = Validation.buildDefaultValidatorFactory()) {
            assertThat(rules.getValidator().validate(usual)).isEmpty();
        }
    }
}
