package elvaro.server.lot;

import elvaro.server.shared.Answers;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A lot as it is received or corrected.
 *
 * @param id made by whoever enters it
 * @param version 0 for a new one, else what the person saw
 * @param fatCoverMm depth of the fat cover, 0 for none
 * @param priceMinorPerKg what was paid; absent where nobody knows, 0 for what cost nothing
 * @param sourceTag the seller's lot or the game tag
 * @param article of the seller, as the labels of its boxes say it; absent where none was scanned
 * @param answers to questions the values raised, by question
 */
public record LotForm(
        @NotNull UUID id,
        @NotNull Integer version,

        @NotBlank(message = "Choose the cut.") @Size(max = 40)
        String cutCode,

        @NotNull @Size(max = 60, message = "The grade is too long.")
        String grade,

        @NotNull Boolean boneIn,

        @NotNull
        @Min(value = 0, message = "Fat cover is ⟦length 0⟧ or more.")
        @Max(value = 80, message = "Fat cover above ⟦length 80⟧ is not a cover.")
        Integer fatCoverMm,

        @NotNull(message = "Weigh it: the weight is needed.")
        @Min(value = 50, message = "The weight must be at least ⟦limit 50⟧.")
        @Max(value = 1_000_000, message = "The weight must be at most ⟦limit 1000000⟧.")
        Integer receivedGrams,

        @Nullable
        @Min(value = 0, message = "The price is 0 or more.")
        @Max(value = 10_000_000, message = "That price is beyond reason.")
        Integer priceMinorPerKg,

        @NotNull @Size(max = 80, message = "The supplier's name is too long.")
        String supplier,

        @Nullable LocalDate packedOn,
        @NotNull(message = "The day it came is needed.") LocalDate receivedOn,

        @Nullable
        @Min(value = -40, message = "The temperature is out of range.")
        @Max(value = 45, message = "The temperature is out of range.")
        Double arrivalCelsius,

        @NotNull @Size(max = LONGEST_TAG, message = "The tag is too long.")
        String sourceTag,

        @NotNull @Size(max = LONGEST_NOTE, message = "The note is too long.")
        String note,

        @Nullable @Size(max = 30, message = "The article is too long.")
        String article,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    static final int LONGEST_TAG = 60;
    static final int LONGEST_NOTE = 1000;

    /** One that no label was scanned of. */
    public LotForm(
            UUID id,
            Integer version,
            String cutCode,
            String grade,
            Boolean boneIn,
            Integer fatCoverMm,
            Integer receivedGrams,
            @Nullable Integer priceMinorPerKg,
            String supplier,
            @Nullable LocalDate packedOn,
            LocalDate receivedOn,
            @Nullable Double arrivalCelsius,
            String sourceTag,
            String note,
            Map<String, String> answers) {
        this(
                id,
                version,
                cutCode,
                grade,
                boneIn,
                fatCoverMm,
                receivedGrams,
                priceMinorPerKg,
                supplier,
                packedOn,
                receivedOn,
                arrivalCelsius,
                sourceTag,
                note,
                null,
                answers);
    }
}
