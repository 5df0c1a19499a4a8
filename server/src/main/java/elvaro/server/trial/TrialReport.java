package elvaro.server.trial;

import static elvaro.core.working.Quantity.price;
import static elvaro.core.working.Quantity.share;

import elvaro.core.ledger.Piles;
import elvaro.core.trial.Conclusion;
import elvaro.core.working.Quantity;
import elvaro.core.working.Units;
import elvaro.server.account.AccountService;
import elvaro.server.paper.Paper;
import elvaro.server.settings.WorkshopService;
import elvaro.server.tasting.SaidView;
import elvaro.server.trial.TrialView.ArmPieceView;
import elvaro.server.trial.TrialView.ArmView;
import elvaro.server.trial.TrialView.MeansView;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** A trial on paper: the question, the arms side by side, what is shown and what weakens it. */
@Component
class TrialReport {
    private final TrialReading reading;
    private final SharedTrials drawings;
    private final WorkshopService workshops;
    private final AccountService people;

    TrialReport(TrialReading reading, SharedTrials drawings, WorkshopService workshops, AccountService people) {
        this.reading = reading;
        this.drawings = drawings;
        this.workshops = workshops;
        this.people = people;
    }

    byte[] pdf(UUID id) {
        TrialView trial = reading.view(id);
        Units units = people.units();
        Paper paper = Paper.a4(
                trial.question(),
                "%s, compared by %s since %s. Printed %s. %s"
                        .formatted(
                                workshops.mine().name(),
                                trial.factorLabel(),
                                Quantity.date(trial.startedOn()),
                                Quantity.date(workshops.today()),
                                trial.ended() ? "" : "It still runs."),
                units);
        conclusions(paper, trial);
        drawings.drawn(paper, id, drawings.view(id));
        means(paper, trial, units);
        pieces(paper, trial, units);
        sentences(paper, "How fast it dries", trial.drying());
        sentences(
                paper,
                "What the weights show",
                trial.verdicts().stream()
                        .map(verdict -> "%s %s".formatted(verdict.sentence(), verdict.statistics()))
                        .toList());
        trial.tastings()
                .forEach(tasted -> sentences(
                        paper,
                        "Tasted on %s by %d".formatted(tasted.heldOn(), tasted.tasters()),
                        Stream.concat(tasted.verdicts().stream().map(SaidView::sentence), tasted.weakenedBy().stream())
                                .toList()));
        sentences(
                paper,
                "What weakens the design",
                trial.flaws().stream()
                        .map(flaw -> flaw.sentence() + " " + flaw.mend())
                        .toList());
        sentences(paper, "What was learnt", List.of(trial.learnt()));
        return paper.sentence("How it was drawn: %s."
                        .formatted(trial.seed() == null ? "by hand" : "at random, from seed " + trial.seed()))
                .pdf();
    }

    private static void conclusions(Paper paper, TrialView trial) {
        for (Conclusion conclusion : trial.conclusions()) {
            paper.answer(conclusion.sentence());
            conclusion.more().forEach(paper::sentence);
            conclusion.weakenedBy().forEach(weakness -> paper.sentence("Weakened: " + weakness));
        }
    }

    private void means(Paper paper, TrialView trial, Units units) {
        List<List<String>> rows = trial.arms().stream()
                .filter(arm -> arm.means() != null)
                .map(arm -> row(name(arm), Objects.requireNonNull(arm.means()), units))
                .toList();
        if (!rows.isEmpty()) {
            paper.heading("What came of it, on the mean")
                    .table(
                            List.of(
                                    "arm",
                                    "shrink",
                                    "trim",
                                    "discard",
                                    "steak",
                                    "usable",
                                    "a %s of steak".formatted(units.priced())),
                            rows);
        }
    }

    private List<String> row(String name, MeansView means, Units units) {
        return List.of(
                name,
                share(means.shrink()),
                share(means.trim()),
                share(means.discard()),
                share(means.steakYield()),
                share(means.usableYield()),
                means.perKgSteak() == null ? "" : price(means.perKgSteak()));
    }

    private static void pieces(Paper paper, TrialView trial, Units units) {
        paper.heading("Piece by piece")
                .table(
                        List.of("piece", "arm", "green", "aged", "steak", "trim, fat, bone", "discard"),
                        trial.arms().stream()
                                .flatMap(arm -> arm.pieces().stream().map(piece -> row(arm, piece, units)))
                                .toList());
    }

    private static List<String> row(ArmView arm, ArmPieceView piece, Units units) {
        var ledger = piece.ledger();
        Piles piles = new Piles(ledger.piles());
        return List.of(
                piece.card().tag(),
                arm.name(),
                units.weight(ledger.greenGrams()),
                units.weight(ledger.agedGrams()),
                units.weight(piles.steak()),
                units.weight(piles.total() - piles.steak() - piles.discard()),
                units.weight(piles.discard()));
    }

    private static String name(ArmView arm) {
        return arm.control() ? arm.name() + " (control)" : arm.name();
    }

    private static void sentences(Paper paper, String heading, List<String> all) {
        List<String> said = all.stream().filter(each -> !each.isBlank()).toList();
        if (!said.isEmpty()) {
            paper.heading(heading);
            said.forEach(paper::sentence);
        }
    }
}
