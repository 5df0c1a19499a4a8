package elvaro.server.stock;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.ledger.Piles;
import elvaro.core.question.PastDay;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.stock.Pack.Origin;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.IntSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Packing, taking out, and taking back. */
@Service
@Transactional
class StockService {
    private final PackRepository packs;
    private final PieceQueries pieces;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;
    private final Lineage.LineageReader lineages;

    StockService(
            PackRepository packs,
            PieceQueries pieces,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock,
            Lineage.LineageReader lineages) {
        this.lineages = lineages;
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
        Figures figures = closed(pieceId);
        figures.piece().lot().mustNotBeHeld();
        mustBeUntrimmed(pieceId, forms);
        pack(Origin.piece(pieceId), forms, packed(pieceId), content -> source(figures, content));
    }

    /**
     * Packs grind or tallow, in the same way.
     *
     * @throws Refusal if the packs would hold more than was made
     */
    void packMade(UUID makingId, List<PackForm> forms) {
        workshops.lock();
        Making making = made(makingId);
        pack(Origin.making(makingId), forms, packs.ofMakings(List.of(makingId)), content -> source(making, content));
    }

    /**
     * What would be left of a pile, or of what was made, once these were packed too.
     *
     * @param grams of packs that are only thought of
     * @return below 0 where it is more than there was
     */
    @Transactional(readOnly = true)
    int left(UUID pieceId, Content content, List<Integer> grams) {
        Figures figures = closed(pieceId);
        return left(content, grams, packed(pieceId), each -> source(figures, each));
    }

    /** What was packed of its piles. What was packed untrimmed and is cleaned lies on other piles now. */
    private List<Pack> packed(UUID pieceId) {
        List<Pack> all = packs.ofPieces(List.of(pieceId));
        Set<UUID> cleaned = packs.outsOfPieces(List.of(pieceId)).stream()
                .filter(out -> out.way() == WithdrawalPurpose.CLEAN)
                .map(PackOut::packId)
                .collect(Collectors.toSet());
        return all.stream().filter(pack -> !cleaned.contains(pack.id())).toList();
    }

    private void mustBeUntrimmed(UUID pieceId, List<PackForm> forms) {
        boolean untrimmed = pieces.log(pieceId).stream().anyMatch(entry -> entry.stands() && entry.untrimmed());
        if (!untrimmed && forms.stream().anyMatch(PackForm::isToClean)) {
            throw Refusal.wrong(
                    "nothing-untrimmed", "toClean", "Nothing of it lies there untrimmed. Say so at the bench first.");
        }
    }

    @Transactional(readOnly = true)
    int leftOfMaking(UUID makingId, Content content, List<Integer> grams) {
        Making making = made(makingId);
        return left(content, grams, packs.ofMakings(List.of(makingId)), each -> source(making, each));
    }

    private static int left(
            Content content, List<Integer> grams, List<Pack> before, Function<Content, Optional<Source>> sourceOf) {
        Optional<Source> source = sourceOf.apply(content);
        int packed = before.stream()
                .filter(pack -> sourceOf.apply(pack.content()).equals(source))
                .mapToInt(Pack::grams)
                .sum();
        int more = grams.stream().mapToInt(Integer::intValue).sum();
        return source.map(Source::grams).orElse(0) - packed - more;
    }

    private Figures closed(UUID pieceId) {
        Figures figures = pieces.figures(List.of(pieces.find(pieceId).id())).get(0);
        if (figures.piece().state() != PieceState.CUT) {
            throw Refusal.conflict("wrong-state", "Close the bench first: what is packed must be weighed.");
        }
        return figures;
    }

    private Making made(UUID makingId) {
        Making making = packs.making(makingId).orElseThrow(() -> Refusal.notFound("making"));
        if (making.isUndone()) {
            throw Refusal.conflict("undone", "%s was undone; there is nothing to pack.".formatted(making.name()));
        }
        return making;
    }

    /** Where a pack's content lay, and how much of it. */
    private record Source(String name, int grams) {}

    private static Optional<Source> source(Figures figures, Content content) {
        Piles piles = figures.ledger().piles();
        return content.pile().map(pile -> new Source("the pile of " + pile.label(), piles.of(pile)));
    }

    private static Optional<Source> source(Making making, Content content) {
        return content.product()
                .filter(product -> product == making.product())
                .map(product -> new Source(making.name().toLowerCase(Locale.ROOT), making.grams()));
    }

    private void pack(
            Origin from, List<PackForm> forms, List<Pack> before, Function<Content, Optional<Source>> sourceOf) {
        List<PackForm> fresh = forms.stream()
                .filter(form -> before.stream().noneMatch(pack -> pack.id().equals(form.id())))
                .toList();
        for (PackForm form : fresh) {
            if (form.packedOn().isAfter(workshops.today())) {
                throw Refusal.wrong("future-date", "packedOn", "That day has not come. Enter the day it was packed.");
            }
            if (new PastDay(form.packedOn(), workshops.today()).isTooLongAgo()) {
                throw Refusal.wrong("too-long-ago", "packedOn", PastDay.TOO_LONG_AGO);
            }
            if (form.useBy() != null && form.useBy().isBefore(form.packedOn())) {
                throw Refusal.wrong("use-by", "useBy", "The last day lies before the day of packing.");
            }
        }
        mustBeThere(before, fresh, sourceOf);
        List<PackRule> rules = packs.rules();
        int number = packs.lastNumber();
        for (PackForm form : fresh) {
            entities.persist(new Pack(
                    form.withLastDay(rules), ++number, from, current.person().accountId(), now()));
        }
        entities.flush();
    }

    /** Weighing each pack by itself may be off by a division. */
    private void mustBeThere(List<Pack> before, List<PackForm> fresh, Function<Content, Optional<Source>> sourceOf) {
        Map<Source, IntSummaryStatistics> packed = new HashMap<>();
        before.forEach(pack -> sourceOf.apply(pack.content())
                .ifPresent(source -> packed.computeIfAbsent(source, none -> new IntSummaryStatistics())
                        .accept(pack.grams())));
        for (PackForm form : fresh) {
            Source source = sourceOf.apply(form.content())
                    .orElseThrow(() -> Refusal.wrong("not-from-this", "content", "That does not come of this."));
            packed.computeIfAbsent(source, none -> new IntSummaryStatistics()).accept(form.grams());
        }
        int division = workshops.mine().divisionGrams();
        packed.forEach((source, sum) -> {
            if (sum.getSum() > source.grams() + division * sum.getCount()) {
                throw Refusal.wrong(
                        "more-than-pile",
                        "grams",
                        "The packs hold %s, but only %s lay on %s. Weigh again, or correct it there."
                                .formatted(mass((int) sum.getSum()), mass(source.grams()), source.name()));
            }
        });
    }

    /**
     * Takes out of a pack; sent again, it happens once.
     *
     * @throws Refusal if there is less in it
     */
    void takeOut(UUID packId, UUID outId, WithdrawalPurpose way, int grams, String words) {
        Pack pack = packs.lock(packId).orElseThrow(() -> Refusal.notFound("pack"));
        if (isThere(outId, packId)) {
            return;
        }
        entities.persist(takeOut(pack, outId, way, grams, words));
        entities.flush();
    }

    /**
     * What is taken out, not yet kept.
     *
     * @param pack locked
     */
    PackOut takeOut(Pack pack, UUID outId, WithdrawalPurpose way, int grams, String words) {
        if (way != WithdrawalPurpose.DISCARD) {
            // What was ground of a held lot is held with it.
            lineages.of(List.of(pack))
                    .pieces()
                    .forEach(piece -> pieces.find(piece).lot().mustNotBeHeld());
        }
        int left = Withdrawals.left(pack, packs.outsOf(List.of(pack.id())));
        if (grams > left) {
            throw Refusal.wrong(
                    "more-than-pack",
                    "grams",
                    left == 0
                            ? "Pack %d is empty.".formatted(pack.number())
                            : "There is only %s left in pack %d.".formatted(mass(left), pack.number()));
        }
        return new PackOut(
                outId, pack.id(), way, grams, words, now(), current.person().accountId(), null);
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
        wrong.makingId().flatMap(packs::making).ifPresent(making -> {
            throw Refusal.conflict("its-own-page", "It went into %s. Undo that one.".formatted(making.name()));
        });
        entities.persist(back(wrong, outId, words));
        entities.flush();
    }

    /** A row that takes another back, not yet kept. */
    PackOut back(PackOut wrong, UUID outId, String words) {
        return new PackOut(
                outId,
                wrong.packId(),
                wrong.way(),
                wrong.grams(),
                words,
                now(),
                current.person().accountId(),
                wrong.id());
    }

    private boolean isThere(UUID outId, UUID packId) {
        Optional<PackOut> known = packs.findOut(outId);
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
                .filter(rule -> rule.isFor(content, wrap, keeping))
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
