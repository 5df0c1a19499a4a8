package elvaro.server.trial;

import elvaro.core.trial.Conclusion;
import elvaro.server.tasting.TrialTastings.Tasted;
import elvaro.server.trial.TrialView.ThreadView;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The line a trial stands in: what each step truly changed, what it showed, and what repeats show together. */
@Component
class TrialThread {
    private final TrialGathering trials;
    private final TrialVerdicts verdicts;
    private final ArmSetUps setUps;
    private final Changed changed;

    TrialThread(TrialGathering trials, TrialVerdicts verdicts, ArmSetUps setUps, Changed changed) {
        this.trials = trials;
        this.verdicts = verdicts;
        this.setUps = setUps;
        this.changed = changed;
    }

    /**
     * @param steps every trial of the line, the first first
     * @param together what this one shows with those before it that it repeats; nothing where it repeats none
     */
    record Line(List<ThreadView> steps, List<String> together) {}

    Line of(Trial trial) {
        List<TrialWithPieces> whole = trials.whole(related(trial));
        Map<UUID, TrialWithPieces> byId =
                whole.stream().collect(Collectors.toMap(each -> each.trial().id(), Function.identity()));
        Map<UUID, Tasted> tasted = trials.tasted(whole);
        Map<UUID, SetUp> arms = setUps.of(whole);
        Map<UUID, String> changes = whole.stream()
                .collect(Collectors.toMap(
                        each -> each.trial().id(),
                        each -> before(each, byId)
                                .map(from -> changed.words(from, each, arms))
                                .orElse("")));
        List<ThreadView> steps = whole.stream()
                .map(each -> step(each, changes.get(each.trial().id()), tasted))
                .toList();
        return new Line(steps, together(byId.get(trial.id()), byId, changes, tasted));
    }

    private static Optional<TrialWithPieces> before(TrialWithPieces trial, Map<UUID, TrialWithPieces> byId) {
        return trial.trial().from().map(byId::get);
    }

    private ThreadView step(TrialWithPieces each, String change, Map<UUID, Tasted> tasted) {
        Trial trial = each.trial();
        Tasted own = tasted.getOrDefault(trial.id(), Tasted.NOTHING);
        List<String> conclusions = each.ended()
                ? TrialVerdicts.conclusions(each, verdicts.of(each, own), trials.flaws(each), own).stream()
                        .map(Conclusion::sentence)
                        .toList()
                : List.of();
        return new ThreadView(
                trial.id(), trial.question(), change, trial.startedOn(), each.ended(), conclusions, trial.learnt());
    }

    /** With those it repeats unchanged, back to the first that was otherwise. */
    private List<String> together(
            TrialWithPieces last,
            Map<UUID, TrialWithPieces> byId,
            Map<UUID, String> changes,
            Map<UUID, Tasted> tasted) {
        List<TrialWithPieces> run = new ArrayList<>(List.of(last));
        TrialWithPieces at = last;
        while (changes.get(at.trial().id()).equals(Changed.AGAIN)) {
            TrialWithPieces from = before(at, byId).orElseThrow();
            if (from.trial().measure() != last.trial().measure()) {
                break;
            }
            run.add(from);
            at = from;
        }
        return run.size() == 1
                ? List.of()
                : verdicts.together(run, tasted).stream()
                        .map(each -> "Together with the %s before it: %s %s"
                                .formatted(
                                        run.size() == 2 ? "trial" : "%d trials".formatted(run.size() - 1),
                                        each.verdict().sentence(),
                                        each.verdict().surety())
                                .strip())
                        .toList();
    }

    /** The trials it came from and those that came from it, the first first. */
    private List<Trial> related(Trial trial) {
        List<Trial> all = trials.newest();
        Set<UUID> line = new HashSet<>(Set.of(trial.id()));
        boolean grown = true;
        while (grown) {
            List<UUID> more = all.stream()
                    .flatMap(each -> each.from().stream()
                            .flatMap(from -> line.contains(each.id())
                                    ? Stream.of(from)
                                    : line.contains(from) ? Stream.of(each.id()) : Stream.empty()))
                    .toList();
            grown = line.addAll(more);
        }
        return all.stream()
                .filter(each -> line.contains(each.id()))
                .sorted(Comparator.comparing(Trial::startedOn))
                .toList();
    }
}
