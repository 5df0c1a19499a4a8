package elvaro.server.carcass;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What is known of a test the law or the hunter asks for. */
enum DiseaseTest {
    NOT_ASKED(null),
    AWAITED("awaiting the disease test"),
    CLEAR(null),
    FOUND("the disease test found something; ask the authority what is to be done with it");

    private final @Nullable String holds;

    DiseaseTest(@Nullable String holds) {
        this.holds = holds;
    }

    /** Why nothing of it may be packed or shared. */
    Optional<String> holds() {
        return Optional.ofNullable(holds);
    }
}
