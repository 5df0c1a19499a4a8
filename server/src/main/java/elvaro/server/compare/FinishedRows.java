package elvaro.server.compare;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.cut.Species;
import elvaro.core.ledger.Ledger;
import elvaro.core.trial.Facts;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.account.AccountService;
import elvaro.server.compare.EvidenceView.FacetView;
import elvaro.server.forecast.FinishedPieces;
import elvaro.server.forecast.FinishedPieces.FinishedPiece;
import elvaro.server.shared.Changes;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.tasting.PreferenceScores;
import elvaro.server.tasting.PreferenceScores.Liked;
import elvaro.server.treatment.TreatmentQueries;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The finished pieces of the workshop as rows to be asked of; worked out once until something is written. */
@Service
@Transactional(readOnly = true)
class FinishedRows {
    private static final int MOST_WORKSHOPS_KEPT = 20;

    private record RowsKey(UUID workshopId, long changes) {}

    private final Cache<RowsKey, Shop> kept =
            Caffeine.newBuilder().maximumSize(MOST_WORKSHOPS_KEPT).build();
    private final FinishedPieces pieces;
    private final TreatmentQueries treated;
    private final PreferenceScores likings;
    private final AccountService accounts;
    private final Changes changes;
    private final CurrentWorkshop current;

    FinishedRows(
            FinishedPieces pieces,
            TreatmentQueries treated,
            PreferenceScores likings,
            AccountService accounts,
            Changes changes,
            CurrentWorkshop current) {
        this.pieces = pieces;
        this.treated = treated;
        this.likings = likings;
        this.accounts = accounts;
        this.changes = changes;
        this.current = current;
    }

    /**
     * A finished piece.
     *
     * @param person who closed its bench
     * @param costMinorPerKg of the steak; absent where there is none, or its price is not known
     * @param eatenMinorPerKg the same of all that is eaten
     * @param liked at tastings; absent where it met nothing there
     */
    record EvidenceRow(
            UUID id,
            Species species,
            Facts facts,
            LocalDate pulledOn,
            String person,
            Ledger ledger,
            @Nullable Double costMinorPerKg,
            @Nullable Double eatenMinorPerKg,
            @Nullable Liked liked) {

        /** As effects are worked out: fractions of the green weight, the cost as its logarithm. */
        Optional<Double> by(TrialMeasure measure) {
            return switch (measure) {
                case USABLE_YIELD -> Optional.of(ledger.usableYield());
                case STEAK_YIELD -> Optional.of(ledger.steakYield());
                case SHRINK -> Optional.of(ledger.shrinkFraction());
                case DISCARD -> Optional.of(ledger.discardFraction());
                case COST -> logarithm(costMinorPerKg);
                case COST_EATEN -> logarithm(eatenMinorPerKg);
                case STEAKS, LIKING -> Optional.empty();
            };
        }
    }

    private static Optional<Double> logarithm(@Nullable Double cost) {
        return Optional.ofNullable(cost).filter(minor -> minor > 0).map(Math::log);
    }

    /**
     * All finished pieces.
     *
     * @param rows the last hung first
     * @param facets what can be asked of them
     */
    record Shop(List<EvidenceRow> rows, List<FacetView> facets) {}

    Shop shop() {
        return kept.get(new RowsKey(current.person().workshopId(), changes.number()), state -> read());
    }

    private Shop read() {
        Map<UUID, String> given = treated.kinds();
        Map<UUID, String> names = accounts.names();
        Map<UUID, Liked> liked = likings.byPiece();
        List<EvidenceRow> rows = pieces.all().stream()
                .map(each -> row(each, given.getOrDefault(each.id(), Facts.PLAIN), names, liked.get(each.id())))
                .toList();
        return new Shop(rows, Facets.of(rows));
    }

    private static EvidenceRow row(FinishedPiece each, String given, Map<UUID, String> names, @Nullable Liked liked) {
        Facts facts = each.facts(given);
        return new EvidenceRow(
                each.id(),
                each.cut().species(),
                facts,
                each.pulledOn(),
                each.closedBy() == null ? "" : names.getOrDefault(each.closedBy(), ""),
                each.ledger(),
                each.steak().perKilogram().orElse(null),
                each.steak().perKilogramEaten().orElse(null),
                liked);
    }
}
