package elvaro.server.plan;

import elvaro.core.cut.CutCatalogue;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.hanging.HangingService;
import elvaro.server.hanging.SplitForm;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Purchases that are planned, until they hang. */
@Service
@Transactional
public class PlanService {
    private static final int LONGEST_AHEAD_YEARS = 2;

    private final PlanRepository plans;
    private final ChamberService chambers;
    private final LotService lots;
    private final HangingService hanging;
    private final WorkshopService workshops;

    PlanService(
            PlanRepository plans,
            ChamberService chambers,
            LotService lots,
            HangingService hanging,
            WorkshopService workshops) {
        this.plans = plans;
        this.chambers = chambers;
        this.lots = lots;
        this.hanging = hanging;
        this.workshops = workshops;
    }

    @Transactional(readOnly = true)
    public List<Plan> open() {
        return plans.open();
    }

    @Transactional(readOnly = true)
    public List<PlanView> views() {
        return plans.open().stream().map(Plan::view).toList();
    }

    /** Keeps a plan, or changes the one with that id. */
    public PlanView put(PlanForm form) {
        workshops.lock(); // One at a time, so that a retried request finds what the first one made.
        if (CutCatalogue.find(form.cutCode()).isEmpty()) {
            throw Refusal.wrong("unknown-cut", "cutCode", "Choose a cut from the list.");
        }
        if (form.hangOn().isAfter(workshops.today().plusYears(LONGEST_AHEAD_YEARS))) {
            throw Refusal.wrong("too-far-ahead", "hangOn", "That is more than two years ahead. Check the year.");
        }
        if (form.hangOn().isBefore(workshops.today())) {
            throw Refusal.wrong("past-date", "hangOn", "That day is over. Choose today or one to come.");
        }
        Chamber chamber = chambers.find(form.chamberId()).orElseThrow(() -> Refusal.notFound("chamber"));
        Optional<Plan> known = plans.lock(form.id());
        if (known.isPresent()) {
            known.get().change(form, chamber);
            return plans.save(known.get()).view();
        }
        if (form.version() != 0) {
            throw Refusal.notFound("plan");
        }
        return plans.save(new Plan(form, chamber)).view();
    }

    public void drop(UUID id, int version) {
        Plan plan = plans.lock(id).orElseThrow(() -> Refusal.notFound("plan"));
        plan.drop(version);
        plans.save(plan);
    }

    /**
     * Makes of a plan its lot and its hanging pieces, in one step: all of it, or nothing.
     *
     * @throws Refusal if either is refused or raises a question
     */
    public UUID hang(UUID id, LotForm lot, SplitForm split) {
        Plan plan = plans.lock(id).orElseThrow(() -> Refusal.notFound("plan"));
        if (plan.state() == PlanState.HUNG && lot.id().equals(plan.lotId())) {
            return lot.id();
        }
        UUID hung = lots.receive(lot).id();
        hanging.split(hung, split);
        plan.hungAs(hung);
        plans.save(plan);
        return hung;
    }
}
