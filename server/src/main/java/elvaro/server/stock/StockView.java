package elvaro.server.stock;

import elvaro.core.blend.Made.Product;
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
     * @param name of the house's own for what is in it; absent where it has none
     * @param toClean whether it was packed untrimmed, and is trimmed and weighed again once it is thawed
     * @param leftGrams what did not go out
     * @param daysLeft to the last day of the workshop's own rule, negative when it is over; absent without one
     * @param pieceId it comes from; absent for what was made of packs
     * @param makingId it comes from; absent for what comes straight from a piece
     * @param tag of its piece, or the name of what was made
     * @param agedDays how long its piece hung
     * @param costPerKg minor units; absent where its piece has no cost of steak
     * @param pricePerKg the same with the workshop's target margin
     */
    record PackView(
            UUID id,
            int number,
            Content content,
            String contentLabel,
            @Nullable String name,
            boolean toClean,
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
            @Nullable UUID pieceId,
            @Nullable UUID makingId,
            String tag,
            String cutName,
            @Nullable Long agedDays,
            @Nullable Double costPerKg,
            @Nullable Double pricePerKg) {}

    /**
     * A pack from the animals to where it went.
     *
     * @param by who packed it
     * @param origins what it comes from, one for a piece, several for a grind
     * @param outs every row, slips among them
     */
    record PackStory(PackView pack, List<OriginView> origins, String by, List<OutView> outs) {}

    /**
     * A piece behind a pack, or meat that was bought for a grind.
     *
     * @param name of bought meat, else of the cut
     * @param pieceId absent for bought meat, as all that follows
     */
    record OriginView(
            String name,
            @Nullable UUID pieceId,
            @Nullable String tag,
            @Nullable UUID lotId,
            @Nullable Integer lotNumber,
            @Nullable String supplier,
            @Nullable String sourceTag) {}

    /**
     * @param makingId what it went into, where it was ground or rendered here
     * @param slip whether it was taken back
     */
    record OutView(
            UUID id,
            WithdrawalPurpose way,
            String wayLabel,
            int grams,
            String words,
            Instant at,
            String by,
            @Nullable UUID makingId,
            boolean slip) {}

    /** Which packs came from a lot, grind and tallow among them, and where they went. */
    record RecallView(int lotNumber, String cutName, String supplier, List<RecallLine> packs) {}

    /**
     * A pack of it, no more than is needed to find it: a lot may have thousands.
     *
     * @param tag of its piece, or the name of what was made
     */
    record RecallLine(
            UUID packId,
            int number,
            String contentLabel,
            String tag,
            int leftGrams,
            String place,
            List<OutView> outs) {}

    /**
     * Grind or tallow.
     *
     * @param inGrams all that went in
     * @param share of what went in that came out
     * @param leftGrams not packed yet
     * @param costPerKg minor units
     * @param undone whether it was taken back
     */
    record MakingView(
            UUID id,
            int version,
            int number,
            String name,
            Product product,
            int inGrams,
            int grams,
            double share,
            int leftGrams,
            double costPerKg,
            String words,
            Instant madeAt,
            String by,
            boolean undone,
            List<UsedView> sources,
            List<PackView> packs) {}

    /** @param packId absent for bought meat */
    record UsedView(@Nullable UUID packId, String name, int grams) {}
}
