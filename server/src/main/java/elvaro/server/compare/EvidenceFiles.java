package elvaro.server.compare;

import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Stream;
import elvaro.server.compare.EvidenceService.FinishedTable;
import elvaro.server.compare.EvidenceView.ModelView;
import elvaro.server.compare.FinishedRows.EvidenceRow;
import elvaro.server.shared.CsvFile;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The evidence as tables to be taken away, with the units in the names of the columns. */
final class EvidenceFiles {
    private static final int DIGITS = 10;

    /** A column for each pile. */
    private static final List<String> PILES = Arrays.stream(Stream.values())
            .map(stream -> stream.name().toLowerCase(Locale.ROOT) + "_g")
            .toList();

    private static final List<Object> HEAD = List.of(
            "tag",
            "lot",
            "species",
            "cut",
            "grade",
            "supplier",
            "on_the_bone",
            "fat_cover_mm",
            "method",
            "chamber",
            "treatment",
            "hung_on",
            "pulled_on",
            "days",
            "person",
            "green_g",
            "aged_g",
            PILES,
            "withdrawn_g",
            "shrink_fraction",
            "trim_fraction",
            "steak_yield_fraction",
            "steak_cost_minor_per_kg",
            "liked_more_than_the_middling_chance",
            "tasting_circle");

    private static final List<String> MODEL =
            List.of("term", "estimate", "standard_error", "t", "p", "low_95", "high_95", "degrees_of_freedom");

    private EvidenceFiles() {}

    static FinishedTable table(List<EvidenceRow> rows) {
        return new FinishedTable(
                flat(HEAD).stream().map(String::valueOf).toList(),
                rows.stream().<List<?>>map(row -> flat(row(row))).toList());
    }

    /** Columns that belong together, side by side. */
    private static List<Object> flat(List<?> columns) {
        List<Object> flat = new ArrayList<>();
        columns.forEach(column -> {
            if (column instanceof List<?> several) {
                flat.addAll(several);
            } else {
                flat.add(column);
            }
        });
        return flat;
    }

    static String pieces(List<EvidenceRow> rows) {
        FinishedTable table = table(rows);
        return CsvFile.of(table.columns(), table.rows());
    }

    private static List<?> row(EvidenceRow row) {
        Ledger ledger = row.ledger();
        var facts = row.facts();
        return Arrays.asList(
                facts.tag(),
                facts.lot(),
                row.species().label(),
                facts.cut(),
                facts.grade(),
                facts.supplier(),
                facts.boneIn(),
                facts.fatCoverMm(),
                facts.method().label(),
                facts.chamber(),
                facts.treatment(),
                facts.hungOn(),
                row.pulledOn(),
                facts.days(),
                row.person(),
                ledger.green(),
                ledger.aged(),
                Arrays.stream(Stream.values()).map(ledger.piles()::of).toList(),
                ledger.withdrawn(),
                figure(ledger.shrinkFraction()),
                figure(ledger.trimFraction()),
                figure(ledger.steakYield()),
                row.costMinorPerKg() == null ? null : figure(row.costMinorPerKg()),
                row.liked() == null ? null : figure(row.liked().chance()),
                row.liked() == null ? null : row.liked().circle());
    }

    static String model(@Nullable ModelView model) {
        List<List<?>> rows = new ArrayList<>();
        if (model != null) {
            model.terms()
                    .forEach(term -> rows.add(List.of(
                            term.name(),
                            figure(term.estimate()),
                            figure(term.error()),
                            figure(term.t()),
                            figure(term.p()),
                            figure(term.low()),
                            figure(term.high()),
                            model.freedom())));
        }
        return CsvFile.of(MODEL, rows);
    }

    private static BigDecimal figure(double value) {
        return new BigDecimal(value, new MathContext(DIGITS)).stripTrailingZeros();
    }
}
