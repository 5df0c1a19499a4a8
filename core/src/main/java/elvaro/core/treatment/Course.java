package elvaro.core.treatment;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** The steps of a treatment in the order they are done. Some are so many days long, or done so many times. */
public final class Course {
    private static final int WEEK = 7;

    private final Optional<Count> count;
    private final IntFunction<List<TreatmentStep>> steps;

    private Course(Optional<Count> count, IntFunction<List<TreatmentStep>> steps) {
        this.count = count;
        this.steps = steps;
    }

    /**
     * What may be more or less of a course.
     *
     * @param label what is counted
     * @param usual where to start from
     */
    public record Count(String label, int usual, int least, int most) {}

    /**
     * A step with its day.
     *
     * @param number from 0, in the order of the course
     * @param on empty while the day it counts from is not known
     */
    public record PlannedStep(int number, TreatmentStep step, Optional<LocalDate> on) {}

    static Course fixed(TreatmentStep... steps) {
        List<TreatmentStep> all = List.copyOf(Arrays.asList(steps));
        return new Course(Optional.empty(), count -> all);
    }

    static Course of(Count count, IntFunction<List<TreatmentStep>> steps) {
        return new Course(Optional.of(count), steps);
    }

    /** The same every week, first before it is hung. */
    static Course weekly(Count count, String words) {
        return of(
                count,
                times -> IntStream.range(0, times)
                        .mapToObj(time ->
                                time == 0 ? TreatmentStep.before(0, words) : TreatmentStep.hanging(time * WEEK, words))
                        .toList());
    }

    /** What may be more or less; empty where nothing may. */
    public Optional<Count> count() {
        return count;
    }

    /** How many days or times: as said, else as usual; 1 where nothing is counted. */
    public int number(@Nullable Integer said) {
        return said != null ? said : count.map(Count::usual).orElse(1);
    }

    /** As usually done. */
    public List<TreatmentStep> steps() {
        return steps(number(null));
    }

    /**
     * For how many days it goes on before the piece hangs; 0 for most.
     *
     * @throws IllegalArgumentException if the number is out of range
     */
    public int daysBeforeHanging(int number) {
        return steps(number).stream()
                .filter(step -> step.moment() == TreatmentStep.Moment.BEFORE_HANGING)
                .mapToInt(TreatmentStep::day)
                .max()
                .orElse(0);
    }

    /**
     * @param number of what is counted; of no matter where nothing is
     * @throws IllegalArgumentException if it is out of range; the sentence says so
     */
    public List<TreatmentStep> steps(int number) {
        count.filter(range -> number < range.least || number > range.most).ifPresent(range -> {
            throw new IllegalArgumentException("From %d to %d %s.".formatted(range.least, range.most, range.label));
        });
        return steps.apply(number);
    }

    /**
     * The steps on their days.
     *
     * @param number of what is counted
     * @param beganOn day 0 of what is done before the hanging
     * @param hungOn day 0 of what is done while it hangs, unless it hung already when it began
     * @param pulledOn day 0 of what is done after, once it was pulled
     */
    public List<PlannedStep> from(int number, LocalDate beganOn, LocalDate hungOn, Optional<LocalDate> pulledOn) {
        List<PlannedStep> planned = new ArrayList<>();
        for (TreatmentStep step : steps(number)) {
            Optional<LocalDate> zero = switch (step.moment()) {
                case BEFORE_HANGING -> Optional.of(beganOn);
                case HANGING -> Optional.of(beganOn.isAfter(hungOn) ? beganOn : hungOn);
                case AFTER_PULL -> pulledOn;
                case AT_THE_TABLE -> Optional.empty();
            };
            planned.add(new PlannedStep(planned.size(), step, zero.map(day -> day.plusDays(step.day()))));
        }
        return List.copyOf(planned);
    }
}
