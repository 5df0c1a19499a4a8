package elvaro.server.stock;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What there is.
 *
 * @param sums what is left of each content
 */
record StockView(LocalDate today, List<PackView> packs, List<StockSum> sums, List<RuleView> rules) {

    record StockSum(Content content, String label, int packs, int grams) {}

    /** @param days 0 for no rule */
    record RuleView(Content content, Wrap wrap, Keeping keeping, int version, int days) {}

    /**
     * A pack.
     *
     * @param leftGrams what did not go out
     * @param daysLeft to the last day of the workshop's own rule, negative when it is over; absent without one
     * @param agedDays how long its piece hung
     * @param pricePerKg minor units, for the workshop's target margin; absent where its piece has no cost of steak
     */
    record PackView(
            UUID id,
            int number,
            Content content,
            String contentLabel,
            int grams,
            int leftGrams,
            Wrap wrap,
            String wrapLabel,
            Keeping keeping,
            String keepingLabel,
            LocalDate packedOn,
            @Nullable LocalDate useBy,
            @Nullable Long daysLeft,
            String place,
            UUID pieceId,
            String tag,
            String cutName,
            @Nullable Long agedDays,
            UUID lotId,
            @Nullable Double pricePerKg) {}

    /**
     * A pack from the animal to where it went.
     *
     * @param by who packed it
     * @param outs every row, slips among them
     */
    record PackStory(PackView pack, String supplier, String sourceTag, int lotNumber, String by, List<OutView> outs) {}

    /** @param slip whether it was taken back */
    record OutView(UUID id, Way way, String wayLabel, int grams, String words, Instant at, String by, boolean slip) {}

    /** Which packs came from a lot, and where they went. */
    record RecallView(int lotNumber, String cutName, String supplier, List<RecallLine> packs) {}

    record RecallLine(PackView pack, List<OutView> outs) {}
}
