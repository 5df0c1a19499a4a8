package elvaro.server.look;

import elvaro.core.inspection.Observation;
import elvaro.server.shared.Refusal;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What somebody saw and smelled.
 *
 * @param words what is to be said besides
 * @param at when it was, if not now
 * @param sentAt what the clock of the device shows as it is sent, by which {@code at} is
 */
public record LookForm(
        @NotNull(message = "Say which colour it has.") Observation.Colour colour,
        @NotNull(message = "Say how the surface feels.") Observation.SurfaceFeel surface,
        @NotNull Set<Observation.Mould> moulds,
        @NotNull Observation.Extent extent,
        @NotNull(message = "Say how it smells.") Observation.Smell smell,
        @NotNull Set<Observation.Spot> spots,
        @NotNull Observation.Depth depth,
        @Min(0) @Max(100) int liftedPercent,
        boolean sealOpen,

        @NotNull @Size(max = 2000, message = "The note is too long.")
        String words,

        @Nullable Instant at,
        @Nullable Instant sentAt) {
    Observation seen() {
        try {
            return new Observation(colour, surface, moulds, extent, smell, spots, depth, liftedPercent, sealOpen);
        } catch (IllegalArgumentException contradiction) {
            throw Refusal.wrong("invalid", "extent", String.valueOf(contradiction.getMessage()));
        }
    }
}
