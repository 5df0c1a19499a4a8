package elvaro.server.chain;

import elvaro.server.chain.ChainCheck.ChainState;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.RequestLimit;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ChainController {
    private static final int A_MINUTE = 6;

    private final RequestLimit<UUID> checks = new RequestLimit<>();
    private final ChainCheck check;
    private final CurrentWorkshop current;
    private final HouseKey key;

    ChainController(ChainCheck check, CurrentWorkshop current, HouseKey key) {
        this.check = check;
        this.current = current;
        this.key = key;
    }

    /** @param key the house's own, by its first digits */
    record Checked(String key, ChainState state) {}

    /** Goes along the whole record. */
    @GetMapping("/api/record/chain")
    Checked check() {
        UUID workshop = current.person().workshopId();
        if (!checks.allows(workshop, A_MINUTE)) {
            throw Refusal.tooMany("The record was checked several times just now. Wait a minute.");
        }
        return new Checked(key.print(), check.of(workshop));
    }
}
