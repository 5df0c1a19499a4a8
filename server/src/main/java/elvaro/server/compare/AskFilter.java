package elvaro.server.compare;

import elvaro.core.cut.Species;
import elvaro.core.drying.Method;
import elvaro.server.compare.FinishedRows.EvidenceRow;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Which finished pieces are asked about; what is absent is not asked.
 *
 * @param cut, grade, supplier, chamber, treatment and person by their names
 * @param fatFrom least fat cover, mm
 * @param daysFrom fewest days hung
 * @param from the first day of the pulls, {@code to} the last
 */
record AskFilter(
        @Nullable Species species,
        @Nullable String cut,
        @Nullable String grade,
        @Nullable String supplier,
        @Nullable Boolean bone,
        @Nullable @Min(0) @Max(200) Integer fatFrom,
        @Nullable @Min(0) @Max(200) Integer fatTo,
        @Nullable Method method,
        @Nullable String chamber,
        @Nullable String treatment,
        @Nullable @Min(0) @Max(1000) Integer daysFrom,
        @Nullable @Min(0) @Max(1000) Integer daysTo,
        @Nullable LocalDate from,
        @Nullable LocalDate to,
        @Nullable String person) {

    boolean takes(EvidenceRow row) {
        return same(species, row.species())
                && same(cut, row.facts().cut())
                && same(grade, row.facts().grade())
                && same(supplier, row.facts().supplier())
                && same(bone, row.facts().boneIn())
                && within(row.facts().fatCoverMm(), fatFrom, fatTo)
                && same(method, row.facts().method())
                && same(chamber, row.facts().chamber())
                && same(treatment, row.facts().treatment())
                && within(row.facts().days(), daysFrom, daysTo)
                && (from == null || !row.pulledOn().isBefore(from))
                && (to == null || !row.pulledOn().isAfter(to))
                && same(person, row.person());
    }

    private static boolean same(@Nullable Object asked, Object has) {
        return asked == null || Objects.equals(asked, has);
    }

    private static boolean within(int value, @Nullable Integer least, @Nullable Integer most) {
        return (least == null || value >= least) && (most == null || value <= most);
    }
}
