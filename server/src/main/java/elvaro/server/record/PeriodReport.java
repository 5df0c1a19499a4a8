package elvaro.server.record;

import static elvaro.core.working.Quantity.date;
import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.price;
import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.ledger.Ledger;
import elvaro.core.working.Quantity;
import elvaro.core.working.Units;
import elvaro.server.account.AccountService;
import elvaro.server.chain.ChainCheck;
import elvaro.server.chain.ChainCheck.ChainState;
import elvaro.server.chain.HouseKey;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.FinishedPieces;
import elvaro.server.forecast.FinishedPieces.FinishedPiece;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.paper.Paper;
import elvaro.server.paper.WeightBarDrawing;
import elvaro.server.piece.Piece;
import elvaro.server.reading.AirService;
import elvaro.server.reading.AirService.DayView;
import elvaro.server.reading.AirView.AirEventView;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.stock.StockFlows;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.ToIntFunction;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Some days of the house on paper, for its owner and for whoever inspects it: what came in, what hung, what was cut and what
 * became of it, the air, and what was questioned and kept.
 */
@Component
@Transactional(readOnly = true)
public class PeriodReport {
    private static final int LONGEST_DAYS = 400;

    private final WorkshopService workshops;
    private final LotService lots;
    private final PieceQueries pieces;
    private final FinishedPieces finished;
    private final StockFlows stock;
    private final ChamberService chambers;
    private final AirService air;
    private final DecisionService decisions;
    private final ChangeReader changes;
    private final AccountService people;
    private final ChainCheck chain;
    private final CurrentWorkshop current;
    private final HouseKey key;

    PeriodReport(
            WorkshopService workshops,
            LotService lots,
            PieceQueries pieces,
            FinishedPieces finished,
            StockFlows stock,
            ChamberService chambers,
            AirService air,
            DecisionService decisions,
            ChangeReader changes,
            AccountService people,
            ChainCheck chain,
            CurrentWorkshop current,
            HouseKey key) {
        this.workshops = workshops;
        this.lots = lots;
        this.pieces = pieces;
        this.finished = finished;
        this.stock = stock;
        this.chambers = chambers;
        this.air = air;
        this.decisions = decisions;
        this.changes = changes;
        this.people = people;
        this.chain = chain;
        this.current = current;
        this.key = key;
    }

    /** The days reported on, by the clock of the workshop. */
    private record Period(LocalDate first, LocalDate last, HouseClock house, Units units) {
        Instant from() {
            return house.start(first);
        }

        Instant before() {
            return house.start(last.plusDays(1));
        }

        String moment(Instant at) {
            return units.moment(house.shown(at).toLocalDateTime());
        }
    }

    /** @throws Refusal if the last day is before the first, or they are more than 400 days apart */
    byte[] pdf(LocalDate first, LocalDate last) {
        if (last.isBefore(first) || ChronoUnit.DAYS.between(first, last) > LONGEST_DAYS) {
            throw Refusal.wrong("wrong-stretch", "to", "Choose a last day after the first, at most 400 days on.");
        }
        Units units = people.units();
        Period period = new Period(first, last, workshops.mine().clock(), units);
        Paper paper = Paper.a4(
                "%s to %s".formatted(date(first), date(last)),
                "%s. Printed %s.".formatted(workshops.mine().name(), date(workshops.today())),
                units);
        received(paper, lots.received(first, last), units);
        hung(paper, pieces.hung(first, last), units);
        cut(
                paper,
                finished.all().stream()
                        .filter(each -> !each.pulledOn().isBefore(first)
                                && !each.pulledOn().isAfter(last))
                        .sorted(Comparator.comparing(FinishedPiece::pulledOn))
                        .toList(),
                units);
        stock(paper, period, units);
        chambers.all().forEach(chamber -> air(paper, chamber, period));
        paper.heading("Questioned and kept");
        var kept = decisions.between(period.from(), period.before());
        kept.forEach(each -> paper.sentence("%s  %s %s (%s)"
                .formatted(period.moment(each.decidedAt()), each.sentence(), each.reason(), each.by())));
        paper.sentence(kept.isEmpty() ? "Nothing." : "").heading("Changed");
        var changed = changes.between(period.from(), period.before());
        changed.forEach(each -> paper.sentence("%s  %s, %s. %s (%s)"
                .formatted(
                        period.moment(each.at()),
                        each.of(),
                        each.what().toLowerCase(Locale.ROOT),
                        each.words(),
                        each.by())));
        paper.sentence(changed.isEmpty() ? "Nothing." : "").heading("Whether this is what was written");
        ChainState state = chain.of(current.person().workshopId());
        state.faults().forEach(paper::sentence);
        return paper.sentence(
                        state.faults().isEmpty()
                                ? "Every one of %d rows of the record is as it was written and in its place. Hash of the last: %s."
                                        .formatted(state.links(), state.head())
                                : "")
                .sentence(
                        state.keys().isEmpty()
                                ? ""
                                : "Signed with the key %s; this house's own is %s."
                                        .formatted(String.join(", ", state.keys()), key.print()))
                .sentence("What is kept here supports a hygiene plan and replaces none; the law of the place and those"
                        + " licensed to inspect come first.")
                .pdf();
    }

    private void received(Paper paper, List<Lot> received, Units units) {
        paper.heading("Received")
                .sentence(
                        received.isEmpty()
                                ? "Nothing."
                                : "%s, %s."
                                        .formatted(
                                                counted(received.size(), "lot"),
                                                mass(sum(received, Lot::receivedGrams))));
        if (!received.isEmpty()) {
            paper.table(
                    List.of(
                            "lot",
                            "on",
                            "of",
                            "weight",
                            "a %s, %s"
                                    .formatted(
                                            units.priced(), workshops.settings().currency()),
                            "on arrival"),
                    received.stream()
                            .map(lot -> List.of(
                                    "%d %s".formatted(lot.number(), lot.cut().name()),
                                    date(lot.receivedOn()),
                                    lot.supplier(),
                                    mass(lot.receivedGrams()),
                                    lot.priceMinorPerKg() == null ? "" : price(lot.priceMinorPerKg()),
                                    lot.arrivalCelsius() == null ? "" : temperature(lot.arrivalCelsius())))
                            .toList());
        }
    }

    private static void hung(Paper paper, List<Piece> hung, Units units) {
        paper.heading("Hung")
                .sentence(
                        hung.isEmpty()
                                ? "Nothing."
                                : "%s, %s."
                                        .formatted(counted(hung.size(), "piece"), mass(sum(hung, Piece::greenGrams))));
        if (!hung.isEmpty()) {
            paper.table(
                    List.of("piece", "on", "in", "green", "for days"),
                    hung.stream()
                            .map(piece -> List.of(
                                    "%s %s".formatted(piece.tag(), piece.cut().name()),
                                    piece.hungOn().map(Quantity::date).orElse(""),
                                    piece.chamber().map(Chamber::name).orElse(""),
                                    mass(piece.greenGrams()),
                                    piece.targetDays().map(String::valueOf).orElse("")))
                            .toList());
        }
    }

    private void cut(Paper paper, List<FinishedPiece> cut, Units units) {
        paper.heading("Pulled and cut");
        if (cut.isEmpty()) {
            paper.sentence("Nothing.");
            return;
        }
        int green = sum(cut, each -> each.ledger().green());
        int steak = sum(cut, each -> each.ledger().piles().steak());
        int aged = sum(cut, each -> each.ledger().aged());
        paper.sentence("%s: of %s hung, %s dried away (%s) and %s became steaks and roasts (%s)."
                        .formatted(
                                counted(cut.size(), "piece"),
                                mass(green),
                                mass(green - aged),
                                share((green - aged) / (double) green),
                                mass(steak),
                                share(steak / (double) green)))
                .drawing(WeightBarDrawing.of(
                        cut.stream().map(FinishedPiece::ledger).toList()))
                .sentence("Usable trim %s, fat %s, bone %s, discarded %s."
                        .formatted(
                                mass(sum(cut, each -> each.ledger().piles().usableTrim())),
                                mass(sum(cut, each -> each.ledger().piles().fat())),
                                mass(sum(cut, each -> each.ledger().piles().bone())),
                                mass(sum(cut, each -> each.ledger().piles().discard()))))
                .table(
                        List.of(
                                "piece",
                                "pulled",
                                "days",
                                "green",
                                "shrink",
                                "steak",
                                "a %s of steak".formatted(units.priced())),
                        cut.stream().map(piece -> row(piece, units)).toList());
    }

    private List<String> row(FinishedPiece piece, Units units) {
        Ledger ledger = piece.ledger();
        return List.of(
                "%s %s, %s"
                        .formatted(
                                piece.line().tag(),
                                piece.cut().name(),
                                piece.line().method().label().toLowerCase(java.util.Locale.ROOT)),
                date(piece.pulledOn()),
                String.valueOf(piece.days()),
                mass(ledger.green()),
                share(ledger.shrinkFraction()),
                share(ledger.steakYield()),
                piece.steak().perKilogram().map(cost -> price(cost)).orElse(""));
    }

    private void stock(Paper paper, Period period, Units units) {
        paper.heading("Packed, and gone");
        List<String> said = new ArrayList<>();
        stock.packed(period.first(), period.last())
                .forEach(flow -> said.add("Packed: %s, %s, %s."
                        .formatted(flow.content(), counted(flow.packs(), "pack"), mass(flow.grams()))));
        stock.went(period.from(), period.before())
                .forEach(flow -> said.add("Gone: %s, %s.".formatted(flow.way(), mass(flow.grams()))));
        said.forEach(paper::sentence);
        paper.sentence(said.isEmpty() ? "Nothing." : "");
    }

    private void air(Paper paper, Chamber chamber, Period period) {
        List<DayView> days = air.days(chamber.id(), period.from(), period.before(), period.house());
        if (days.isEmpty()) {
            return;
        }
        paper.heading("Air of " + chamber.name())
                .sentence("Measured on %s. Temperature %s on the mean, from %s to %s; set to %s."
                        .formatted(
                                counted(days.size(), "day"),
                                temperature(days.stream()
                                        .mapToDouble(DayView::celsius)
                                        .average()
                                        .orElse(0)),
                                temperature(days.stream()
                                        .mapToDouble(DayView::celsiusMin)
                                        .min()
                                        .orElse(0)),
                                temperature(days.stream()
                                        .mapToDouble(DayView::celsiusMax)
                                        .max()
                                        .orElse(0)),
                                temperature(chamber.setCelsius())));
        var humid = days.stream()
                .map(DayView::humidityPercent)
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .summaryStatistics();
        if (humid.getCount() > 0) {
            paper.sentence("Humidity by the day from %.0f to %.0f %%, %.0f %% on the mean."
                    .formatted(humid.getMin(), humid.getMax(), humid.getAverage()));
        }
        for (AirEventView event : air.view(chamber.id(), period.from(), period.before(), LONGEST_DAYS).events().stream()
                .sorted(Comparator.comparing(AirEventView::from))
                .toList()) {
            String what = event.peakCelsius() == null
                    ? "No reading" + RecordService.filled(event)
                    : "Above %s, up to %s".formatted(temperature(5), temperature(event.peakCelsius()));
            String decided = event.decisions().isEmpty()
                    ? "Undecided."
                    : String.join(
                            " ",
                            event.decisions().stream()
                                    .map(each -> "%s (%s)".formatted(each.words(), each.by()))
                                    .toList());
            paper.sentence("%s to %s: %s. %s"
                    .formatted(period.moment(event.from()), period.moment(event.to()), what, decided));
        }
    }

    private static String counted(long number, String what) {
        return "%d %s%s".formatted(number, what, number == 1 ? "" : "s");
    }

    private static <T> int sum(List<T> all, ToIntFunction<T> grams) {
        return all.stream().mapToInt(grams).sum();
    }
}
