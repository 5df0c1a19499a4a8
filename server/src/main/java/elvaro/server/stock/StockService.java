package elvaro.server.stock;

import static elvaro.core.working.Figures.weight;

import elvaro.core.ledger.Piles;
import elvaro.server.piece.Figures;
import elvaro.server.piece.PieceService;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Packing, taking out, and taking back. */
@Service
@Transactional
class StockService {
    private final PackRepository packs;
    private final PieceService pieces;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    StockService(
            PackRepository packs,
            PieceService pieces,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.packs = packs;
        this.pieces = pieces;
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Packs what a piece gave; packs that are there already are left as they are.
     *
     * @throws Refusal if the bench is not closed, or a pile would give more than it weighed
     */
    void pack(UUID pieceId, List<PackForm> forms) {
        workshops.lock(); // Numbers go up one by one, and piles are counted.
        Figures figures = pieces.figures(List.of(pieces.find(pieceId).id())).get(0);
        if (figures.piece().state() != PieceState.CUT) {
            throw Refusal.conflict("wrong-state", "Close the bench first: what is packed must be weighed.");
        }
        List<Pack> before = packs.ofPieces(List.of(pieceId));
        List<PackForm> fresh = forms.stream()
                .filter(form -> before.stream().noneMatch(pack -> pack.id().equals(form.id())))
                .toList();
        for (PackForm form : fresh) {
            if (form.packedOn().isAfter(workshops.today())) {
                throw Refusal.wrong("future-date", "packedOn", "That day has not come. Enter the day it was packed.");
            }
            if (form.useBy() != null && form.useBy().isBefore(form.packedOn())) {
                throw Refusal.wrong("use-by", "useBy", "The last day lies before the day of packing.");
            }
        }
        mustBeOnThePiles(figures.ledger().piles(), before, fresh);
        int number = packs.lastNumber();
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        for (PackForm form : fresh) {
            entities.persist(new Pack(form, ++number, pieceId, current.person().accountId(), now));
        }
        entities.flush();
    }

    /** Weighing each pack by itself may be off by a division. */
    private void mustBeOnThePiles(Piles piles, List<Pack> before, List<PackForm> fresh) {
        Map<elvaro.core.ledger.Stream, Integer> packed = before.stream()
                .collect(Collectors.groupingBy(pack -> pack.content().pile(), Collectors.summingInt(Pack::grams)));
        fresh.forEach(form -> packed.merge(form.content().pile(), form.grams(), Integer::sum));
        int division = workshops.mine().divisionGrams();
        packed.forEach((pile, grams) -> {
            long count = before.stream()
                            .filter(pack -> pack.content().pile() == pile)
                            .count()
                    + fresh.stream()
                            .filter(form -> form.content().pile() == pile)
                            .count();
            if (grams > piles.of(pile) + division * count) {
                throw Refusal.wrong(
                        "more-than-pile",
                        "grams",
                        "The packs hold %s, but only %s lay on the pile of %s. Weigh again, or correct the pile."
                                .formatted(weight(grams), weight(piles.of(pile)), pile.label()));
            }
        });
    }

    /**
     * Takes out of a pack; sent again, it happens once.
     *
     * @throws Refusal if there is less in it
     */
    void takeOut(UUID packId, UUID outId, Way way, int grams, String words) {
        Pack pack = packs.lock(packId).orElseThrow(() -> Refusal.notFound("pack"));
        if (isThere(outId, packId)) {
            return;
        }
        int left = Story.left(pack, packs.outsOf(List.of(packId)));
        if (grams > left) {
            throw Refusal.wrong(
                    "more-than-pack",
                    "grams",
                    left == 0 ? "The pack is empty." : "There is only %s left in it.".formatted(weight(left)));
        }
        entities.persist(new PackOut(
                outId, packId, way, grams, words, now(), current.person().accountId(), null));
        entities.flush();
    }

    /** Takes a slip back; the pack holds it again, and both rows stay. */
    void takeBack(UUID packId, UUID outId, UUID slip, String words) {
        packs.lock(packId).orElseThrow(() -> Refusal.notFound("pack"));
        if (isThere(outId, packId)) {
            return;
        }
        List<PackOut> outs = packs.outsOf(List.of(packId));
        PackOut wrong = outs.stream()
                .filter(out -> out.id().equals(slip) && out.takesBack().isEmpty())
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("entry"));
        if (outs.stream().anyMatch(out -> out.takesBack().filter(slip::equals).isPresent())) {
            throw Refusal.conflict("taken-back", "That was taken back already.");
        }
        entities.persist(new PackOut(
                outId,
                packId,
                wrong.way(),
                wrong.grams(),
                words,
                now(),
                current.person().accountId(),
                slip));
        entities.flush();
    }

    private boolean isThere(UUID outId, UUID packId) {
        Optional<PackOut> known = packs.out(outId);
        if (known.isPresent() && !known.get().packId().equals(packId)) {
            throw Refusal.conflict("clash", "This entry belongs to another pack.");
        }
        return known.isPresent();
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }

    /** The workshop's own rule; 0 days is none. */
    void rule(Content content, Wrap wrap, Keeping keeping, int version, int days) {
        workshops.lock();
        packs.rules().stream()
                .filter(rule -> rule.content() == content && rule.wrap() == wrap && rule.keeping() == keeping)
                .findFirst()
                .ifPresentOrElse(
                        rule -> rule.last(version, days),
                        () -> entities.persist(new PackRule(
                                Ids.after(
                                        current.person().workshopId(),
                                        "rule %s %s %s".formatted(content, wrap, keeping)),
                                content,
                                wrap,
                                keeping,
                                days)));
        entities.flush();
    }
}
