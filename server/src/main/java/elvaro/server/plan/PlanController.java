package elvaro.server.plan;

import elvaro.server.hanging.SplitForm;
import elvaro.server.lot.LotForm;
import elvaro.server.plan.LoadService.ChamberLoad;
import elvaro.server.plan.RoomWaterService.RoomWaterView;
import elvaro.server.shared.Refusal;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PlanController {
    private final ScenarioService scenarios;
    private final PlanService plans;
    private final LoadService loads;
    private final WorthService worth;
    private final RoomWaterService water;
    private final LotAheadService lotsAhead;

    PlanController(
            ScenarioService scenarios,
            PlanService plans,
            LoadService loads,
            WorthService worth,
            RoomWaterService water,
            LotAheadService lotsAhead) {
        this.scenarios = scenarios;
        this.plans = plans;
        this.loads = loads;
        this.worth = worth;
        this.water = water;
        this.lotsAhead = lotsAhead;
    }

    record HangForm(
            @NotNull @Valid LotForm lot, @NotNull @Valid SplitForm split) {}

    record DropForm(@NotNull Integer version) {}

    record HungView(UUID lotId) {}

    @GetMapping("/api/plan/first")
    FirstPlan first() {
        return scenarios.first();
    }

    @PostMapping("/api/plan/forward")
    ForwardView forward(@RequestBody @Valid ScenarioForm form) {
        return scenarios.forward(form);
    }

    @PostMapping("/api/plan/table")
    TableView table(@RequestBody @Valid TableForm form) {
        return scenarios.table(form);
    }

    /** What a lot would become while it is described. */
    @PostMapping("/api/plan/lot")
    LotAheadView lot(@RequestBody @Valid LotAheadForm form) {
        return lotsAhead.ahead(form);
    }

    /** How full the chambers are from today on. */
    @GetMapping("/api/load")
    List<ChamberLoad> load(@RequestParam(defaultValue = "90") @Min(1) @Max(400) int days) {
        return loads.all(null, days);
    }

    /** What the load of a chamber gives off, what the chamber takes away, and its humidity to come. */
    @GetMapping("/api/chambers/{id}/water")
    RoomWaterView water(@PathVariable UUID id) {
        return water.of(id);
    }

    /** How full they are, and where a scenario would find room. */
    @PostMapping("/api/plan/room")
    List<ChamberLoad> room(@RequestBody @Valid RoomForm form) {
        return scenarios.room(form);
    }

    /** What the question begins with; prices that are not known are 0. */
    @GetMapping("/api/plan/worth/first")
    WorthForm firstWorth() {
        return worth.first();
    }

    /** Whether ageing is worth it, way by way. */
    @PostMapping("/api/plan/worth")
    WorthView worth(@RequestBody @Valid WorthForm form) {
        return worth.worth(form);
    }

    @GetMapping("/api/plans")
    List<PlanView> open() {
        return plans.views();
    }

    @PutMapping("/api/plans/{id}")
    PlanView put(@PathVariable UUID id, @RequestBody @Valid PlanForm form) {
        if (!form.id().equals(id)) {
            throw Refusal.wrong("invalid", "id", "The plan in the address is not the one in the request.");
        }
        return plans.put(form);
    }

    @PutMapping("/api/plans/{id}/drop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@PathVariable UUID id, @RequestBody @Valid DropForm form) {
        plans.drop(id, form.version());
    }

    /** Makes of a plan its lot and its pieces, in one step. */
    @PostMapping("/api/plans/{id}/hang")
    HungView hang(@PathVariable UUID id, @RequestBody @Valid HangForm form) {
        return new HungView(plans.hang(id, form.lot(), form.split()));
    }
}
