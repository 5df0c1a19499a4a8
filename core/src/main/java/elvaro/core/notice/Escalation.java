package elvaro.core.notice;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Who is told of an alarm, one after another, until somebody takes it over.
 *
 * @param steps in order; none where nobody can be reached
 * @param againAfter how long after the last step it begins with the first again
 * @param restsFor how long it rests once somebody took it over; empty for as long as it lasts
 */
public record Escalation(List<Step> steps, Duration againAfter, Optional<Duration> restsFor) {
    /** What a person who was handed an alarm has, where no step says otherwise. */
    private static final Duration USUAL_WAIT = Duration.ofMinutes(15);

    /**
     * People who are told at the same time.
     *
     * @param after how long after the step before, or after the alarm was raised
     */
    public record Step(Set<UUID> people, Duration after) {}

    /** That a person was told. */
    public record Told(UUID person, Instant at) {}

    /** What a person answered. */
    public sealed interface Answer {
        Instant at();
    }

    /** Sees to it. */
    public record TakenOver(UUID person, Instant at) implements Answer {}

    /** Wants to be told again. */
    public record Later(UUID person, Instant at, Instant until) implements Answer {}

    /** It is another's. */
    public record HandedTo(UUID person, Instant at, UUID to) implements Answer {}

    public Escalation {
        steps = List.copyOf(steps);
    }

    /**
     * The plan for those who can be reached: nobody waits for an answer of those who cannot.
     *
     * @param reachable who can be
     */
    public static Escalation among(
            List<Step> planned, Set<UUID> reachable, Duration againAfter, Optional<Duration> restsFor) {
        List<Step> steps = new ArrayList<>();
        boolean skipped = false;
        for (Step step : planned) {
            Set<UUID> people = new LinkedHashSet<>(step.people);
            people.retainAll(reachable);
            if (people.isEmpty()) {
                skipped = true;
            } else {
                steps.add(new Step(people, skipped ? Duration.ZERO : step.after));
                skipped = false;
            }
        }
        return new Escalation(steps, againAfter, restsFor);
    }

    /**
     * Who is to be told now and was not yet.
     *
     * @param told who was told so far
     * @param answers in the order they came; the last one counts
     */
    public Set<UUID> now(Instant raisedAt, List<Told> told, List<Answer> answers, Instant now) {
        // What a clock that was wrong wrote down as of later counts from now.
        Instant base = raisedAt.isAfter(now) ? now : raisedAt;
        List<Step> order = steps;
        if (!answers.isEmpty()) {
            Answer last = answers.get(answers.size() - 1);
            if (last instanceof TakenOver) {
                if (restsFor.isEmpty()) {
                    return Set.of();
                }
                base = last.at().plus(restsFor.get());
            } else if (last instanceof Later later) {
                base = later.until();
                order = first(later.person());
            } else if (last instanceof HandedTo handed) {
                base = handed.at();
                order = first(handed.to());
            }
        }
        return now.isBefore(base) ? Set.of() : due(order, base, told, now);
    }

    /** One person before all others, for whom these wait as they do for one another. */
    private List<Step> first(UUID person) {
        Duration wait = steps.size() > 1 ? steps.get(1).after : USUAL_WAIT;
        List<Step> order = new ArrayList<>();
        order.add(new Step(Set.of(person), Duration.ZERO));
        for (Step step : steps) {
            Set<UUID> others = new LinkedHashSet<>(step.people);
            others.remove(person);
            if (!others.isEmpty()) {
                order.add(new Step(others, order.size() == 1 ? wait : step.after));
            }
        }
        return order;
    }

    private Set<UUID> due(List<Step> order, Instant base, List<Told> told, Instant now) {
        Duration round = order.stream()
                .map(Step::after)
                .reduce(Duration.ZERO, Duration::plus)
                .plus(againAfter);
        Instant begin = base;
        if (!round.isZero()) {
            begin = base.plus(round.multipliedBy(Duration.between(base, now).dividedBy(round)));
        }
        Set<UUID> due = new LinkedHashSet<>();
        // Who is told first and is one of everybody later is told once in a round.
        Instant since = begin;
        Instant turn = begin;
        for (Step step : order) {
            turn = turn.plus(step.after);
            if (turn.isAfter(now)) {
                break;
            }
            step.people.stream()
                    .filter(person ->
                            told.stream().noneMatch(each -> each.person.equals(person) && !each.at.isBefore(since)))
                    .forEach(due::add);
        }
        return due;
    }
}
