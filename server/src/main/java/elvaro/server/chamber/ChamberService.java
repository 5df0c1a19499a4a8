package elvaro.server.chamber;

import elvaro.server.account.AccountService;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The chambers of the workshop. */
@Service
@Transactional
public class ChamberService {
    private final ChamberRepository chambers;
    private final AccountService accounts;
    private final WorkshopService workshops;

    ChamberService(ChamberRepository chambers, AccountService accounts, WorkshopService workshops) {
        this.chambers = chambers;
        this.accounts = accounts;
        this.workshops = workshops;
    }

    @Transactional(readOnly = true)
    public List<Chamber> all() {
        return chambers.all();
    }

    @Transactional(readOnly = true)
    public Optional<Chamber> find(UUID id) {
        return chambers.findById(id);
    }

    /** Makes a chamber, or changes the one with that id. */
    public ChamberForm put(ChamberForm form) {
        if (form.keeperId() != null && !accounts.names().containsKey(form.keeperId())) {
            throw Refusal.wrong("invalid", "keeperId", "There is no such person here.");
        }
        workshops.lock(); // One at a time, so that a retried request finds what the first one made.
        Optional<Chamber> known = chambers.findById(form.id());
        if (known.isPresent()) {
            known.get().change(form);
            return chambers.save(known.get()).form();
        }
        if (chambers.all().stream()
                .anyMatch(chamber -> chamber.name().equalsIgnoreCase(form.name().strip()))) {
            throw Refusal.wrong("invalid", "name", "There is a chamber called %s already.".formatted(form.name()));
        }
        return chambers.save(new Chamber(form.id(), chambers.number(), form)).form();
    }
}
