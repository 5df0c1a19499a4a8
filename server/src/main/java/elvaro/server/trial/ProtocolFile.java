package elvaro.server.trial;

import elvaro.core.drying.Method;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.TreatmentKind;
import elvaro.core.trial.Design.FlawKind;
import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.core.yield.BenchOrder;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A trial as one house writes it down for another: what is asked and what is done, and once it was done what came of it. It is
 * the same file both ways; docs/protocol.md describes it, docs/protocol.schema.json is its JSON Schema.
 *
 * @param id of the protocol, the same in every house that follows it
 * @param house who wrote this file
 * @param result what came of it in that house; absent from a protocol that is only to be followed
 */
record ProtocolFile(
        @NotNull @Pattern(regexp = FORMAT, message = "That is no protocol of a trial.")
        String format,

        @NotNull @Min(value = 1, message = VERSIONS) @Max(value = 1, message = VERSIONS)
        Integer version,

        @NotNull UUID id,

        @NotBlank(message = "The file does not say which house wrote it.")
        @Size(max = 80, message = "The name is too long.")
        String house,

        @NotBlank(message = "The file does not say what is asked.") @Size(max = 300, message = "Ask in fewer words.")
        String question,

        @NotNull(message = "The file does not say what is compared.")
        Factor factor,

        @NotNull(message = "The file does not say what it is judged by.")
        TrialMeasure measure,

        @NotBlank @Size(max = 40) String cutCode,
        @NotNull Boolean boneIn,

        @NotNull @Min(1) @Max(26) Integer piecesPerArm,

        @NotNull @Size(min = 2, max = 6, message = "A trial has two to six arms.")
        List<@Valid @NotNull ProtocolArm> arms,

        @Nullable @Valid ProtocolResult result) {
    static final String FORMAT = "elvaro-protocol";
    static final int VERSION = 1;
    private static final String VERSIONS = "The file is of a version that is not known here.";

    /**
     * An arm.
     *
     * @param fresh set aside fresh: then it has neither method nor days
     */
    record ProtocolArm(
            @NotBlank @Size(max = 80) String name,
            boolean control,
            boolean fresh,
            @Nullable Method method,
            @Nullable @Min(1) @Max(400) Integer days,
            @Nullable @Min(1) @Max(100) Integer contactPercent,
            @Nullable BenchOrder benchOrder,

            @NotNull @Size(max = 4, message = "At most four treatments in an arm.")
            List<@Valid @NotNull ProtocolTreatment> treatments) {}

    /** @param exactly what is used, in words */
    record ProtocolTreatment(
            @NotNull TreatmentKind kind,
            @NotNull @Size(max = 200) String exactly,

            @Nullable @DecimalMin("0.001") @Max(100_000) Double amount,

            @Nullable DoseUnit measure,
            Dose.@Nullable Basis basis,
            @Nullable @Min(1) @Max(100) Integer number,
            boolean rawGarlicOrHerbs,
            boolean oil,
            boolean spirit) {}

    /** @param weakenedBy what the house itself says against it */
    record ProtocolResult(
            @NotNull LocalDate startedOn,
            @NotNull @Size(max = 20) List<@NotNull FlawKind> weakenedBy,
            @NotNull @Size(max = 6) List<@Valid @NotNull ArmResult> arms) {}

    /**
     * What an arm came to against the control, in the measure of the protocol.
     *
     * @param differences arm less control, one for each pair, in the scale of the measure: fractions of the green weight,
     *     natural logarithms of a cost, steaks; none where it is judged by liking
     * @param likedArm tasters who liked the arm better, one voice each; 0 where nobody tasted
     */
    record ArmResult(
            @NotBlank @Size(max = 80) String arm,

            @NotNull @Size(max = 26) List<@NotNull @DecimalMin("-20") @DecimalMax("20") Double> differences,

            @Min(0) @Max(1000) int likedArm,
            @Min(0) @Max(1000) int likedControl,
            @Min(0) @Max(1000) int likedNeither) {}
}
