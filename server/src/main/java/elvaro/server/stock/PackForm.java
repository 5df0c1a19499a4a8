package elvaro.server.stock;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A pack to be made.
 *
 * @param grams net
 * @param useBy as somebody says; absent where the workshop's own rule counts, if it has one
 * @param name of the house's own for what is in it, as medium belly
 * @param toClean whether it is packed untrimmed and is cleaned once it is thawed; absent for no
 * @param place where it is put, in words
 */
record PackForm(
        @NotNull UUID id,
        @NotNull(message = "Say what is in it.") Content content,

        @NotNull
        @Min(value = 1, message = "Enter what the scale shows.")
        @Max(value = 100_000, message = "A pack weighs at most ⟦limit 100000⟧.")
        Integer grams,

        @NotNull Wrap wrap,
        @NotNull Keeping keeping,
        @NotNull LocalDate packedOn,
        @Nullable LocalDate useBy,

        @NotNull @Size(max = 80, message = "Say it in fewer words.")
        String place,

        @Nullable @Size(max = 40, message = "The name is too long.")
        String name,

        @Nullable Boolean toClean) {
    /** One that was trimmed, without a name of its own. */
    PackForm(
            UUID id,
            Content content,
            Integer grams,
            Wrap wrap,
            Keeping keeping,
            LocalDate packedOn,
            @Nullable LocalDate useBy,
            String place) {
        this(id, content, grams, wrap, keeping, packedOn, useBy, place, null, null);
    }

    boolean isToClean() {
        return Boolean.TRUE.equals(toClean);
    }

    /** With the last day as it was said, else by the workshop's rule for such a pack, if it has one. */
    PackForm withLastDay(List<PackRule> rules) {
        return useBy != null
                ? this
                : rules.stream()
                        .filter(rule -> rule.isFor(content, wrap, keeping) && rule.days() > 0)
                        .map(rule -> new PackForm(
                                id,
                                content,
                                grams,
                                wrap,
                                keeping,
                                packedOn,
                                packedOn.plusDays(rule.days()),
                                place,
                                name,
                                toClean))
                        .findFirst()
                        .orElse(this);
    }
}
