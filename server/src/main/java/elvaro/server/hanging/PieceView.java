package elvaro.server.hanging;

import elvaro.core.drying.Coating;
import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Stream;
import elvaro.core.working.Working;
import elvaro.core.yield.BenchOrder;
import elvaro.server.forecast.AheadView;
import elvaro.server.forecast.PiecePlanView;
import elvaro.server.lot.DecisionService.DecisionView;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Everything about one piece.
 *
 * @param perDayGrams water lost a day until it was last weighed, absent where it was not weighed since its first day
 * @param coating what is on it
 * @param ice what it takes, where it lies on ice and somebody said how warm it is
 * @param ahead what is expected of it; absent for one set aside fresh
 * @param plan what was expected of it when it was hung
 * @param weighings net of coat, in the order they happened
 * @param beside what stood beside it and scents it, one sentence each
 * @param log every entry, corrected ones too
 */
public record PieceView(
        PieceCard card,
        int version,
        @Nullable Integer priceMinorPerKg,
        int consumablesMinor,
        Coating coating,
        @Nullable BenchOrder benchOrder,
        @Nullable Double perDayGrams,
        LedgerView ledger,
        CostView cost,
        List<String> beside,
        @Nullable IceView ice,
        @Nullable AheadView ahead,
        @Nullable PiecePlanView plan,
        List<WeighingView> weighings,
        List<EntryView> log,
        List<DecisionView> decisions,
        List<Working> workings) {

    /** A weight on a day counted from the hanging. */
    public record WeighingView(UUID entryId, Instant at, double day, int netGrams, double shrinkFraction) {}

    /**
     * A log entry.
     *
     * @param steaks how many the container held; 0 for ends and roasts, absent where nobody counted
     * @param cause why it was thrown away; absent for the rest, and where nobody said
     * @param estimated whether there was no scale: such a weight counts in no figure
     * @param pile what the house calls it, of a pile; absent where it has no name of its own
     * @param untrimmed whether what lies there is trimmed and weighed again later
     * @param stands whether no other entry corrects it
     * @param cameWith what archive brought it, and whether that was signed; absent for what was written here
     */
    public record EntryView(
            UUID id,
            LogFactKind kind,
            @Nullable Stream stream,
            int grams,
            @Nullable Integer steaks,
            @Nullable DiscardCause cause,
            boolean estimated,
            @Nullable String pile,
            boolean untrimmed,
            String words,
            Instant happenedAt,
            Instant recordedAt,
            String by,
            @Nullable UUID corrects,
            boolean stands,
            @Nullable String cameWith) {}
}
