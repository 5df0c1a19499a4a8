package elvaro.server.stock;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.share;

import elvaro.core.ledger.Stream;
import elvaro.core.question.Question;
import elvaro.server.hanging.LogService;
import elvaro.server.hanging.LogService.CleanPile;
import elvaro.server.lot.DecisionService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import elvaro.server.stock.CleaningForm.CleanedPile;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The second weighing of what was frozen untrimmed: it leaves its pack and goes onto the piles it gave. */
@Service
@Transactional
class CleaningService {
    /** More drip than this as it thaws is asked about (EST). */
    private static final double MUCH_DRIP = 0.08;

    private final PackRepository packs;
    private final StockService stock;
    private final PieceWriter pieces;
    private final LogService log;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final EntityManager entities;

    CleaningService(
            PackRepository packs,
            StockService stock,
            PieceWriter pieces,
            LogService log,
            DecisionService decisions,
            WorkshopService workshops,
            EntityManager entities) {
        this.packs = packs;
        this.stock = stock;
        this.pieces = pieces;
        this.log = log;
        this.decisions = decisions;
        this.workshops = workshops;
        this.entities = entities;
    }

    /**
     * Sent again, it happens once.
     *
     * @throws Refusal if it was not packed untrimmed, something was taken out of it, or more came of it than was in it
     */
    void clean(UUID packId, UUID outId, CleaningForm form) {
        Pack pack = packs.lock(packId).orElseThrow(() -> Refusal.notFound("pack"));
        if (packs.findOut(outId).isPresent()) {
            return;
        }
        if (!pack.toClean()) {
            throw Refusal.conflict("not-untrimmed", "Pack %d was not packed untrimmed.".formatted(pack.number()));
        }
        if (Withdrawals.left(pack, packs.outsOf(List.of(packId))) < pack.grams()) {
            throw Refusal.conflict("not-whole", "Something was taken out of pack %d already.".formatted(pack.number()));
        }
        List<CleanPile> piles =
                form.piles().stream().map(CleaningService::pile).collect(Collectors.toCollection(ArrayList::new));
        int came = piles.stream().mapToInt(CleanPile::grams).sum();
        int slack = 2 * workshops.mine().divisionGrams() * (piles.size() + 1);
        if (came > pack.grams() + slack) {
            throw Refusal.wrong(
                    "more-than-pack",
                    "piles",
                    "The pack held %s; %s cannot have come of it.".formatted(mass(pack.grams()), mass(came)));
        }
        int drip = pack.grams() - came;
        double lost = (double) drip / pack.grams();
        List<Question> questions = lost > MUCH_DRIP
                ? List.of(Question.confirm(
                        "thaw-drip",
                        "piles",
                        "%s of it, %s, lies on no pile. Is everything on the scale, and is the rest drip?"
                                .formatted(share(lost), mass(drip))))
                : List.of();
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(questions);
        if (drip > 0) {
            piles.add(new CleanPile(Stream.DISCARD, drip, null, null, "drip as it thawed"));
        }
        UUID pieceId = pack.pieceId().orElseThrow();
        Piece piece = pieces.lock(pieceId);
        log.clean(pieceId, outId, pack.grams(), piles);
        entities.persist(stock.takeOut(pack, outId, WithdrawalPurpose.CLEAN, pack.grams(), ""));
        entities.flush();
        decisions.keep(piece.lot().id(), pieceId, settled);
    }

    private static CleanPile pile(CleanedPile form) {
        return new CleanPile(
                form.stream(),
                form.grams(),
                form.stream() == Stream.STEAK ? form.steaks() : null,
                form.stream() == Stream.DISCARD ? form.cause() : null,
                form.name());
    }
}
