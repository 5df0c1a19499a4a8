package elvaro.server.notice;

import elvaro.server.shared.Refusal;
import jakarta.persistence.AttributeConverter;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Who is told of the air of a chamber next, if nobody took it over.
 *
 * @param personId for {@link Who#PERSON}
 * @param afterMinutes after the step before; of the first, after it was found
 */
public record AlarmStep(
        @NotNull(message = "Say who.") Who who,
        @Nullable UUID personId,

        @NotNull
        @Min(value = 0, message = "Minutes are 0 or more.")
        @Max(value = 720, message = "At most twelve hours.")
        Integer afterMinutes) {

    /** Whom a step means. */
    public enum Who {
        /** Whoever keeps the chamber; where nobody does, the owners. */
        KEEPER,
        OWNERS,
        EVERYBODY,
        PERSON
    }

    /** As a house begins. */
    static final List<AlarmStep> USUAL = List.of(
            new AlarmStep(Who.KEEPER, null, 0),
            new AlarmStep(Who.OWNERS, null, 15),
            new AlarmStep(Who.EVERYBODY, null, 15));

    /** @throws Refusal if it names nobody */
    void check() {
        if ((who == Who.PERSON) != (personId != null)) {
            throw Refusal.wrong("invalid", "steps", "Say who is told next.");
        }
    }

    /** All of them in one column, {@code KEEPER:0 PERSON=ID:15}: they are read and changed as a whole. */
    static class Steps implements AttributeConverter<List<AlarmStep>, String> {
        @Override
        public String convertToDatabaseColumn(@Nullable List<AlarmStep> steps) {
            return steps == null
                    ? ""
                    : steps.stream()
                            .map(step -> step.who + (step.personId == null ? "" : "=" + step.personId) + ":"
                                    + step.afterMinutes)
                            .collect(Collectors.joining(" "));
        }

        @Override
        public List<AlarmStep> convertToEntityAttribute(@Nullable String column) {
            if (column == null || column.isEmpty()) {
                return List.of();
            }
            return Arrays.stream(column.split(" ")).map(Steps::read).toList();
        }

        private static AlarmStep read(String text) {
            String[] pair = text.split(":");
            String[] who = pair[0].split("=");
            return new AlarmStep(
                    Who.valueOf(who[0]), who.length > 1 ? UUID.fromString(who[1]) : null, Integer.valueOf(pair[1]));
        }
    }
}
