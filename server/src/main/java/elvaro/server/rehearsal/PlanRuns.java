package elvaro.server.rehearsal;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.ledger.Piles;
import elvaro.core.rehearsal.RehearsalPlan;
import elvaro.core.rehearsal.RunsOfPlan;
import elvaro.core.rehearsal.RunsOfPlan.RunOfPlan;
import elvaro.core.rehearsal.RunsOfPlan.SpreadOfRuns;
import elvaro.server.rehearsal.RehearsalForm.FreePlan;
import elvaro.server.rehearsal.RunsView.BefellTimes;
import elvaro.server.rehearsal.RunsView.RunLine;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Semaphore;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** A plan let run many times over, to see how it may go. Nothing is kept. */
@Component
class PlanRuns {
    private static final int WORLDS = 20;

    /** Each takes the machine for a second or two. */
    private final Semaphore atOnce = new Semaphore(2);

    /** @throws Refusal if too many ask at once, or there is no such cut */
    RunsView runs(FreePlan asked) {
        RehearsalPlan plan = asked.plan(0);
        if (!atOnce.tryAcquire()) {
            throw Refusal.tooMany("Others have their plans run just now. Try again in a few seconds.");
        }
        try {
            return view(RunsOfPlan.of(plan, WORLDS), plan.plannedDays());
        } finally {
            atOnce.release();
        }
    }

    private static RunsView view(RunsOfPlan runs, int days) {
        int most = runs.runs().stream()
                .mapToInt(run ->
                        Math.max(run.lookedAfter().steak(), run.leftAlone().steak()))
                .max()
                .orElse(1);
        return new RunsView(
                List.of(
                        "Looked after, it gives %s.".formatted(told(runs, RunOfPlan::lookedAfter)),
                        "Left alone until day %d it gives %s.".formatted(days, told(runs, RunOfPlan::leftAlone))),
                Math.max(1, most),
                runs.runs().stream()
                        .map(run -> new RunLine(
                                run.lookedAfter().steak(), run.leftAlone().steak()))
                        .toList(),
                runs.befell().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(each -> new BefellTimes(each.getKey().told(), each.getValue()))
                        .toList());
    }

    private static String told(RunsOfPlan runs, Function<RunOfPlan, Piles> ofWhom) {
        SpreadOfRuns steak = runs.steak(ofWhom);
        int away = runs.thrownAway(ofWhom);
        return "%s of steak, %s in the middle; %s"
                .formatted(
                        mass(steak.least(), steak.most()),
                        mass(steak.middle()),
                        away == 0
                                ? "nothing had to be thrown away"
                                : "in %d of %d something had to be thrown away"
                                        .formatted(away, runs.runs().size()));
    }
}
