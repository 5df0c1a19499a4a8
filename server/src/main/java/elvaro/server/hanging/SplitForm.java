package elvaro.server.hanging;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.server.piece.PieceRole;
import elvaro.server.shared.Answers;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A lot cut into pieces, each hung or set aside.
 *
 * @param answers to questions the split raised, by question
 */
public record SplitForm(
        @NotEmpty(message = "A lot is hung as at least one piece.")
        @Size(max = 26, message = "At most 26 pieces from one lot.")
        List<@Valid NewPiece> pieces,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    /**
     * One piece.
     *
     * @param waits whether it is treated for days before it hangs: chamber and day are then said when it does
     * @param method how it is aged; absent for a piece set aside fresh, as are chamber, day and target
     * @param coatGrams weight of a coat or seal put on before hanging, 0 for none
     * @param coating what that coat is
     * @param contactPercent share of a membrane that touches meat, if somebody looked
     * @param lengthMm its sides by tape measure, if somebody measured all three
     * @param count how many like things it is, hung as one batch with one record; absent for one
     * @param consumablesMinor what bag, seal or salt cost
     */
    public record NewPiece(
            @NotNull UUID id,
            @NotNull PieceRole role,

            @NotNull(message = "Each piece needs its weight.")
            @Min(value = 20, message = "A piece weighs at least ⟦limit 20⟧.")
            @Max(value = 1_000_000, message = "A piece weighs at most ⟦limit 1000000⟧.")
            Integer greenGrams,

            @Nullable Boolean waits,
            @Nullable Method method,
            @Nullable UUID chamberId,
            @Nullable LocalDate hungOn,

            @Nullable @Min(value = 1, message = "At least one day.") @Max(value = 400, message = "At most 400 days.")
            Integer targetDays,

            @NotNull
            @Min(value = 0, message = "A coat weighs ⟦limit 0⟧ or more.")
            @Max(value = 200_000, message = "Too heavy.")
            Integer coatGrams,

            @NotNull Coating coating,

            @Nullable @Min(value = 1, message = CONTACT) @Max(value = 100, message = CONTACT)
            Integer contactPercent,

            @Nullable @Min(value = 10, message = SIDE) @Max(value = 3000, message = SIDE)
            Integer lengthMm,

            @Nullable @Min(value = 10, message = SIDE) @Max(value = 3000, message = SIDE)
            Integer widthMm,

            @Nullable @Min(value = 10, message = SIDE) @Max(value = 3000, message = SIDE)
            Integer heightMm,

            @Nullable
            @Min(value = 1, message = "A batch is of one at least.")
            @Max(value = 26, message = "At most 26 in a batch.")
            Integer count,

            @NotNull @Min(value = 0, message = "The cost is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
            Integer consumablesMinor) {
        private static final String CONTACT = "Contact is 1 to 100 % of the film.";
        private static final String SIDE = "A side is ⟦length 10⟧ to ⟦length 3000⟧.";

        /** Not true where nothing was said. */
        boolean hangsLater() {
            return Boolean.TRUE.equals(waits);
        }

        int things() {
            return count == null ? 1 : count;
        }

        boolean fresh() {
            return role == PieceRole.FRESH;
        }
    }
}
