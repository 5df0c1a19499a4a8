package elvaro.server.bench;

import static elvaro.core.working.Quantity.length;
import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.price;
import static elvaro.core.working.Quantity.share;

import elvaro.core.caution.Caution;
import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.core.working.Units;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import elvaro.server.account.AccountService;
import elvaro.server.bench.BenchView.CutChoice;
import elvaro.server.bench.BenchView.KnifeView;
import elvaro.server.hanging.LedgerView;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.paper.Paper;
import elvaro.server.paper.SectionDrawing;
import elvaro.server.paper.WeightBarDrawing;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The bench on paper: what is expected, with room for what is weighed; once closed, what was found. */
@Component
class BenchSheet {
    private static final String BLANK = "";
    private static final String CAUTION =
            String.join(" ", Caution.KNIFE_AND_SAW.sentence(), Caution.GROUND.sentence(), Caution.LAW);

    private final BenchService service;
    private final WorkshopService workshops;
    private final AccountService people;

    BenchSheet(BenchService service, WorkshopService workshops, AccountService people) {
        this.service = service;
        this.workshops = workshops;
        this.people = people;
    }

    byte[] pdf(UUID pieceId) {
        BenchView bench = service.view(pieceId);
        Units units = people.units();
        PieceCard card = bench.piece().card();
        LedgerView ledger = bench.piece().ledger();
        boolean closed = card.state() == PieceState.CUT;
        LocalDate today = workshops.today();
        Paper paper = Paper.a4(
                "Bench, " + card.tag(),
                "%s%s. %s, %s"
                        .formatted(card.cutName(), hung(card), workshops.mine().name(), today),
                units);
        paper.sentence(
                ledger.shrinkGrams() == 0
                        ? "%s to cut.".formatted(mass(ledger.agedGrams()))
                        : "Green %s, aged %s: %s of it is water, %s."
                                .formatted(
                                        mass(ledger.greenGrams()),
                                        mass(ledger.agedGrams()),
                                        mass(ledger.shrinkGrams()),
                                        share(ledger.shrinkFraction())));
        paper.drawing(new SectionDrawing(card.shape(), card.section()));
        if (closed) {
            paper.drawing(WeightBarDrawing.of(ledger));
        }
        piles(paper, bench, closed, units);
        if (closed) {
            found(paper, bench, units);
        } else if (!bench.choices().isEmpty()) {
            paper.heading("How to cut")
                    .table(
                            List.of("", "steak", "trim", "a %s of steak".formatted(units.priced())),
                            bench.choices().stream()
                                    .map(choice -> choice(choice, units))
                                    .toList());
        }
        return paper.heading("With care").sentence(CAUTION).pdf();
    }

    /** How it aged; nothing for what was set aside fresh or cut off an animal. */
    private static String hung(PieceCard card) {
        return card.dayNumber() == null || card.methodLabel() == null
                ? BLANK
                : ", %s, %d days".formatted(card.methodLabel().toLowerCase(Locale.ROOT), card.dayNumber());
    }

    private static void piles(Paper paper, BenchView bench, boolean closed, Units units) {
        Piles found = new Piles(bench.piece().ledger().piles());
        Piles expected = new Piles(bench.expectedPiles());
        List<List<String>> rows = new ArrayList<>();
        Arrays.stream(Stream.values())
                .forEach(pile -> rows.add(List.of(
                        pile.label(),
                        mass(expected.of(pile)),
                        closed || found.of(pile) > 0 ? mass(found.of(pile)) : BLANK,
                        causes(bench.piece().log(), pile, units))));
        rows.add(List.of(
                "together",
                mass(expected.total()),
                closed ? mass(found.total()) : BLANK,
                closed ? mass(bench.piece().ledger().residualGrams()) + " on no pile" : BLANK));
        paper.heading("Piles").table(List.of("", "expected", "found", "what was said"), rows);
    }

    private static String causes(List<EntryView> log, Stream pile, Units units) {
        return String.join(
                "; ",
                log.stream()
                        .filter(entry -> entry.stands()
                                && entry.stream() == pile
                                && !entry.words().isBlank())
                        .map(entry -> "%s %s".formatted(mass(entry.grams()), entry.words()))
                        .toList());
    }

    private List<String> choice(CutChoice choice, Units units) {
        return List.of(
                (choice.order() == BenchOrder.SLICE_FIRST ? "slice first, " : "trim first, ")
                        + words(choice.closeness()),
                mass(choice.steakGrams()),
                mass(choice.trimGrams()),
                choice.perKgSteak() == null ? BLANK : price(choice.perKgSteak()));
    }

    private static String words(Closeness closeness) {
        return switch (closeness) {
            case STRONGER -> "a little crust left";
            case USUAL -> "the crust off";
            case MILDER -> "more than the crust";
        };
    }

    private void found(Paper paper, BenchView bench, Units units) {
        LedgerView ledger = bench.piece().ledger();
        Double cost = bench.piece().cost().perKgSteak();
        paper.heading("What came of it")
                .sentence("Steak yield %s, usable yield %s, discard %s of the green weight."
                        .formatted(
                                share(ledger.steakYield()),
                                share(ledger.usableYield()),
                                share(ledger.discardFraction())))
                .sentence(cost == null ? BLANK : "Steak cost %s.".formatted(price(cost)));
        KnifeView knife = bench.knife();
        if (knife != null) {
            paper.sentence("Cut away %s deep; the crust was %s %s."
                    .formatted(
                            length(knife.cutMm()),
                            length(knife.crustMm()),
                            knife.measured() ? "as measured" : "by the drying law"));
        }
        if (bench.cut().gramsEach() != null) {
            paper.sentence("%d steaks of %s on the mean, and %s of ends and roasts."
                    .formatted(
                            bench.cut().steaks(),
                            mass(Math.round(bench.cut().gramsEach())),
                            mass(bench.cut().roastGrams())));
        }
    }
}
