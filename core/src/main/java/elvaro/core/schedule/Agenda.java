package elvaro.core.schedule;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The work of one hanging piece: what its plan asks for, what people decided about it, and what its log shows as done.
 *
 * @param tasks of the plan that still stand, moved ones on their new day
 */
public record Agenda(List<Item> tasks) {

    /** What somebody decided about one task. */
    public enum TaskVerdict {
        MOVED,
        DONE,
        SKIPPED
    }

    /**
     * A decision about a task of the plan.
     *
     * @param work and {@code plannedOn} name the task
     * @param movedTo the new day, for {@link TaskVerdict#MOVED}
     */
    public record AgendaDecision(Work work, LocalDate plannedOn, TaskVerdict verdict, Optional<LocalDate> movedTo) {}

    /**
     * A task that stands.
     *
     * @param plannedOn the day the plan puts it, by which it is named
     * @param on the day it is to be done
     */
    public record Item(Work work, LocalDate plannedOn, LocalDate on, boolean done) {}

    /**
     * @param care how the piece is aged and looked after
     * @param hungOn day 0
     * @param targetDays its target, 1 or more
     * @param decisions in the order they were made; the last one about a task counts
     * @param lastDone the day each kind of work was last done, as the log has it
     */
    public static Agenda of(
            Care care,
            LocalDate hungOn,
            int targetDays,
            List<AgendaDecision> decisions,
            Map<Work, LocalDate> lastDone) {
        List<Item> items = new ArrayList<>();
        for (Task task : Task.of(care, hungOn, targetDays)) {
            AgendaDecision decided = lastAbout(task, decisions);
            LocalDate on = decided == null ? task.on() : decided.movedTo().orElse(task.on());
            boolean settled = decided != null && decided.verdict() != TaskVerdict.MOVED;
            LocalDate done = lastDone.get(task.work());
            boolean logged = done != null && !done.isBefore(on);
            items.add(new Item(task.work(), task.on(), on, settled || logged));
        }
        if (!decisions.isEmpty()) {
            items.sort(Comparator.comparing(Item::on).thenComparing(Item::work));
        }
        return new Agenda(List.copyOf(items));
    }

    private static @Nullable AgendaDecision lastAbout(Task task, List<AgendaDecision> decisions) {
        for (int index = decisions.size() - 1; index >= 0; index--) {
            AgendaDecision decision = decisions.get(index);
            if (decision.work() == task.work() && decision.plannedOn().equals(task.on())) {
                return decision;
            }
        }
        return null;
    }

    /**
     * What is due, and what comes until a day. Work that lost its point has lapsed.
     *
     * @param until the last day that is wanted; today, for what is due only
     * @param made work that looks made; what the plan asks for anyway is not asked for twice
     */
    public List<Due> open(LocalDate today, LocalDate until, List<Due> made) {
        List<Due> planned = due(today);
        List<Due> open = new ArrayList<>(planned);
        made.stream()
                .filter(each -> planned.stream().noneMatch(due -> due.work() == each.work()))
                .filter(each -> !each.on().isAfter(until))
                .forEach(open::add);
        between(today.plusDays(1), until)
                .forEach(item -> open.add(new Due(item.work(), item.on(), Optional.of(item.plannedOn()))));
        open.removeIf(each -> each.work().lapsed(each.days(today)));
        return open;
    }

    /**
     * What is due. A later task of a kind stands for the earlier ones: who looks today need not look again for last week. A
     * pull that is due is the only thing due, as the piece is weighed and looked at then.
     */
    List<Due> due(LocalDate today) {
        Map<Work, Item> last = new EnumMap<>(Work.class);
        for (Item item : tasks) {
            if (!item.on().isAfter(today)) {
                last.put(item.work(), item);
            }
        }
        boolean pull = last.containsKey(Work.PULL);
        return last.values().stream()
                .filter(item -> !item.done())
                .filter(item -> !pull || item.work() == Work.PULL)
                .map(item -> new Due(
                        item.work() == Work.PULL && item.on().isBefore(today) ? Work.PULL_OVERDUE : item.work(),
                        item.on(),
                        Optional.of(item.plannedOn())))
                .toList();
    }

    /** What is still to be done from one day to another, both included. */
    List<Item> between(LocalDate from, LocalDate to) {
        return tasks.stream()
                .filter(item ->
                        !item.done() && !item.on().isBefore(from) && !item.on().isAfter(to))
                .toList();
    }

    /** The task of this name, if the plan has it. */
    public Optional<Item> named(Work work, LocalDate plannedOn) {
        return tasks.stream()
                .filter(item -> item.work() == work && item.plannedOn().equals(plannedOn))
                .findFirst();
    }
}
