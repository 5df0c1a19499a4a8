package elvaro.server.bench;

import static elvaro.core.working.Figures.kilograms;
import static elvaro.core.working.Figures.money;
import static elvaro.core.working.Figures.percent;

import elvaro.core.ledger.Stream;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import elvaro.server.bench.BenchView.CutChoice;
import elvaro.server.bench.BenchView.KnifeView;
import elvaro.server.piece.LedgerView;
import elvaro.server.piece.PieceCard;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceView.EntryView;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Paper;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The bench on paper: what is expected, with room for what is weighed; once closed, what was found. */
@Component
class BenchSheet {
    private static final String BLANK = "";
    private static final String CAUTION =
            "Cut-resistant glove on the holding hand. Glands and bloodshot meat are cut out,"
                    + " and knives changed. Ground meat is cooked through. Local law and a licensed practitioner decide what may be"
                    + " eaten and sold.";

    private final BenchService service;
    private final WorkshopService workshops;

    BenchSheet(BenchService service, WorkshopService workshops) {
        this.service = service;
        this.workshops = workshops;
    }

    byte[] pdf(UUID pieceId) {
        BenchView bench = service.view(pieceId);
        PieceCard card = bench.piece().card();
        LedgerView ledger = bench.piece().ledger();
        boolean closed = card.state() == PieceState.CUT;
        LocalDate today = workshops.today();
        Paper paper = new Paper(
                "Bench, " + card.tag(),
                "%s, %s, %s days. %s, %s"
                        .formatted(
                                card.cutName(),
                                Objects.requireNonNullElse(card.methodLabel(), "")
                                        .toLowerCase(Locale.ROOT),
                                card.dayNumber(),
                                workshops.mine().name(),
                                today));
        paper.sentence("Green %s, aged %s: %s of it is water, %s."
                .formatted(
                        kilograms(ledger.greenGrams()),
                        kilograms(ledger.agedGrams()),
                        kilograms(ledger.shrinkGrams()),
                        percent(ledger.shrinkFraction())));
        piles(paper, bench, closed);
        if (closed) {
            found(paper, bench);
        } else {
            paper.heading("How to cut")
                    .table(
                            List.of("", "steak", "trim", "a kg of steak"),
                            bench.choices().stream().map(this::choice).toList());
        }
        return paper.heading("With care").sentence(CAUTION).pdf();
    }

    private static void piles(Paper paper, BenchView bench, boolean closed) {
        var found = bench.piece().ledger().piles();
        List<List<String>> rows = new ArrayList<>();
        Arrays.stream(Stream.values())
                .forEach(pile -> rows.add(List.of(
                        pile.label(),
                        kilograms(bench.expectedPiles().of(pile)),
                        closed || found.of(pile) > 0 ? kilograms(found.of(pile)) : BLANK,
                        causes(bench.piece().log(), pile))));
        rows.add(List.of(
                "together",
                kilograms(bench.expectedPiles().total()),
                closed ? kilograms(found.total()) : BLANK,
                closed ? kilograms(bench.piece().ledger().residualGrams()) + " on no pile" : BLANK));
        paper.heading("Piles").table(List.of("", "expected", "found", "what was said"), rows);
    }

    private static String causes(List<EntryView> log, Stream pile) {
        return String.join(
                "; ",
                log.stream()
                        .filter(entry -> entry.stands()
                                && entry.stream() == pile
                                && !entry.words().isBlank())
                        .map(entry -> "%s %s".formatted(kilograms(entry.grams()), entry.words()))
                        .toList());
    }

    private List<String> choice(CutChoice choice) {
        return List.of(
                (choice.order() == BenchOrder.SLICE_FIRST ? "slice first, " : "trim first, ")
                        + words(choice.closeness()),
                kilograms(choice.steakGrams()),
                kilograms(choice.trimGrams()),
                choice.perKgSteak() == null ? BLANK : priced(choice.perKgSteak()));
    }

    private static String words(Closeness closeness) {
        return switch (closeness) {
            case STRONGER -> "a little crust left";
            case USUAL -> "the crust off";
            case MILDER -> "more than the crust";
        };
    }

    private String priced(double minor) {
        return money(minor) + " " + workshops.settings().currency();
    }

    private void found(Paper paper, BenchView bench) {
        LedgerView ledger = bench.piece().ledger();
        Double cost = bench.piece().cost().perKgSteak();
        paper.heading("What came of it")
                .sentence("Steak yield %s, usable yield %s, discard %s of the green weight."
                        .formatted(
                                percent(ledger.steakYield()),
                                percent(ledger.usableYield()),
                                percent(ledger.discardFraction())))
                .sentence(cost == null ? BLANK : "A kilogram of steak cost %s.".formatted(priced(cost)));
        KnifeView knife = bench.knife();
        if (knife != null) {
            paper.sentence("Cut away %.1f mm deep; the crust was %.1f mm %s."
                    .formatted(knife.cutMm(), knife.crustMm(), knife.measured() ? "as measured" : "by the drying law"));
        }
        if (bench.cut().gramsEach() != null) {
            paper.sentence("%d steaks of %.0f g on the mean, and %s of ends and roasts."
                    .formatted(
                            bench.cut().steaks(),
                            bench.cut().gramsEach(),
                            kilograms(bench.cut().roastGrams())));
        }
    }
}
