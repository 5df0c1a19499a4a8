package elvaro.server.tasting;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Servings.Serving;
import elvaro.core.tasting.TastingKind;
import elvaro.core.tasting.TastingOutcome;
import elvaro.core.tasting.TastingOutcome.Pair;
import elvaro.server.shared.Ids;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tables for those who answer by program: what stands before whom, and what came of it. */
@Service
@Transactional
public class OpenTables {
    private final TastingRepository tastings;
    private final TastingAggregates tables;
    private final SheetService sheets;
    private final EntityManager entities;

    OpenTables(TastingRepository tastings, TastingAggregates tables, SheetService sheets, EntityManager entities) {
        this.tastings = tastings;
        this.tables = tables;
        this.sheets = sheets;
        this.entities = entities;
    }

    /** Makes tasters known, so that they can be seated. */
    public void know(Map<UUID, String> names) {
        names.forEach((id, name) -> entities.persist(new Taster(id, name)));
    }

    /**
     * A plate nobody has answered.
     *
     * @param seat from 0
     * @param round from 0
     * @param pieces what lies on it, in the order it is eaten; empty for what is of no piece
     */
    public record ServedPlate(
            UUID tastingId, UUID placeId, int seat, int round, List<Integer> codes, List<Optional<UUID>> pieces) {}

    /** What is written of a plate, by its places. */
    public record Eaten(OptionalInt liked, int odd, List<Integer> ranks, List<Map<String, Integer>> scores) {}

    /** Of tables that take sheets. */
    @Transactional(readOnly = true)
    public List<ServedPlate> unanswered() {
        return open().stream().flatMap(laid -> plates(laid).stream()).toList();
    }

    private List<TastingAggregate> open() {
        return tables.all(tastings.newest().stream()
                .filter(tasting -> tasting.state() == TastingState.OPEN)
                .toList());
    }

    private static List<ServedPlate> plates(TastingAggregate laid) {
        List<ServedPlate> all = new ArrayList<>();
        for (TastingPlace place : laid.places()) {
            List<Boolean> arrived = laid.arrived(place);
            IntStream.range(0, arrived.size())
                    .filter(round -> !arrived.get(round))
                    .forEach(round -> {
                        List<Serving> servings = laid.plate(place, round).servings();
                        all.add(new ServedPlate(
                                laid.tasting().id(),
                                place.id(),
                                place.position(),
                                round,
                                servings.stream().map(Serving::code).toList(),
                                servings.stream()
                                        .map(serving -> laid.samples()
                                                .get(serving.sample())
                                                .pieceId())
                                        .toList()));
                    });
        }
        return all;
    }

    /** Hands the sheet of a plate in; sent again, it is there once. */
    public void answer(ServedPlate plate, Eaten eaten) {
        Tasting tasting = tastings.findById(plate.tastingId()).orElseThrow();
        TastingKind kind = tasting.kind();
        List<Integer> codes = plate.codes();
        Map<Integer, Integer> ranks = new HashMap<>();
        Map<String, Map<Integer, Integer>> scores = new HashMap<>();
        for (int place = 0; place < codes.size(); place++) {
            if (kind == TastingKind.RANKING) {
                ranks.put(codes.get(place), eaten.ranks().get(place));
            }
            for (Attribute asked : tasting.attributes()) {
                Integer score = eaten.scores().get(place).get(asked.key());
                if (score != null && kind.maySayScores()) {
                    scores.computeIfAbsent(asked.key(), key -> new HashMap<>()).put(codes.get(place), score);
                }
            }
        }
        OptionalInt picked = switch (kind) {
            case TRIANGLE -> OptionalInt.of(eaten.odd());
            case PAIRED -> eaten.liked();
            case RANKING, SCORES -> OptionalInt.empty();
        };
        UUID sheet = Ids.after(plate.placeId(), "sheet " + plate.round());
        sheets.take(
                plate.tastingId(),
                plate.placeId(),
                sheet,
                new SheetForm(
                        plate.round(),
                        picked.isPresent() ? codes.get(picked.getAsInt()) : null,
                        ranks,
                        scores,
                        Map.of(),
                        false),
                null);
    }

    /**
     * How a revealed table liked two pieces.
     *
     * @param tasters who handed a sheet in
     * @param first how many liked the first better
     * @param second how many the second
     * @param p two-sided; 1 where it was not asked which is liked better
     */
    public record Liking(UUID tastingId, int tasters, int first, int second, double p) {}

    /** Of the newest revealed table that had both. */
    @Transactional(readOnly = true)
    public Optional<Liking> liking(UUID first, UUID second) {
        return tables
                .all(tastings.newest().stream()
                        .filter(tasting -> tasting.state() == TastingState.REVEALED)
                        .toList())
                .stream()
                .filter(laid -> position(laid, first) >= 0 && position(laid, second) >= 0)
                .findFirst()
                .map(laid -> liking(laid, position(laid, first), position(laid, second)));
    }

    private static int position(TastingAggregate laid, UUID piece) {
        return IntStream.range(0, laid.samples().size())
                .filter(sample -> laid.samples()
                        .get(sample)
                        .pieceId()
                        .filter(piece::equals)
                        .isPresent())
                .findFirst()
                .orElse(-1);
    }

    private static Liking liking(TastingAggregate laid, int first, int second) {
        TastingOutcome outcome = laid.outcome();
        int tasters = (int)
                laid.sheets().stream().map(TastingSheet::placeId).distinct().count();
        return outcome.pairs().stream()
                .filter(pair -> (pair.first() == first && pair.second() == second)
                        || (pair.first() == second && pair.second() == first))
                .findFirst()
                .map(pair -> liking(laid.tasting().id(), tasters, pair, pair.first() == first))
                .orElse(new Liking(laid.tasting().id(), tasters, 0, 0, 1));
    }

    private static Liking liking(UUID tasting, int tasters, Pair pair, boolean isSoTurned) {
        int one = pair.preference().first();
        int other = pair.preference().second();
        return new Liking(tasting, tasters, isSoTurned ? one : other, isSoTurned ? other : one, pair.adjustedP());
    }
}
