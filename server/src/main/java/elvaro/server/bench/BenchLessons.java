package elvaro.server.bench;

import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Learning;
import elvaro.core.forecast.Learning.Learnt;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.KnifeWork;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceView.EntryView;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the last benches taught, at most 200 of them. */
@Service
@Transactional(readOnly = true)
class BenchLessons {
    /** Half the width of an 80 % band, in standard deviations of the normal distribution. */
    private static final double EIGHTY_PERCENT = 1.2816;

    private final PieceQueries pieces;

    BenchLessons(PieceQueries pieces) {
        this.pieces = pieces;
    }

    /**
     * @param crust measured crust over the law's, a factor; absent while nobody measured one
     * @param margin good meat the knife takes with the crust, mm, by order
     * @param byPerson the same by who closed the bench
     * @param steak steak found over steak expected, share of the green weight
     */
    record LessonsOfBenches(
            @Nullable BenchLesson crust, List<BenchLesson> margin, List<BenchLesson> byPerson, BenchLesson steak) {}

    /**
     * One number learnt, for the next piece to come.
     *
     * @param expected what the estimates say without any bench
     * @param least of the 80 % band for one piece
     * @param benches it rests on
     */
    record BenchLesson(String name, double expected, double value, double least, double most, int benches) {
        static BenchLesson of(String name, double expected, Learnt learnt) {
            double value = expected + learnt.value();
            double half = EIGHTY_PERCENT * learnt.sd();
            return new BenchLesson(name, expected, value, value - half, value + half, learnt.pieces());
        }
    }

    private record Bench(Figures figures, Optional<KnifeWork> work, String by) {
        BenchOrder order() {
            return Cutting.order(figures.piece());
        }
    }

    LessonsOfBenches lessons() {
        List<UUID> ids = pieces.cut().stream().map(PieceCard::id).toList();
        Map<UUID, List<EntryView>> logs = ids.isEmpty() ? Map.of() : pieces.logs(ids);
        List<Bench> benches = (ids.isEmpty() ? List.<Figures>of() : pieces.figures(ids))
                .stream()
                        .filter(figures -> figures.piece().trimModel().isPresent())
                        .map(figures -> new Bench(
                                figures,
                                Cutting.work(figures),
                                closedBy(logs.getOrDefault(figures.piece().id(), List.of()))))
                        .toList();
        List<BenchLesson> margins = new ArrayList<>();
        for (BenchOrder order : BenchOrder.values()) {
            List<Double> found = margins(benches.stream().filter(bench -> bench.order() == order));
            if (!found.isEmpty()) {
                margins.add(margin(order.name(), order, found));
            }
        }
        return new LessonsOfBenches(crust(benches), margins, byPerson(benches), steak(benches));
    }

    private static String closedBy(List<EntryView> log) {
        return log.stream()
                .filter(entry -> entry.kind() == LogFactKind.CLOSED)
                .max(Comparator.comparing(EntryView::happenedAt))
                .map(EntryView::by)
                .orElse("");
    }

    /** How far the knife went from what its order usually takes. */
    private static List<Double> margins(Stream<Bench> benches) {
        return benches.flatMap(bench ->
                        bench.work().map(work -> work.marginMm() - bench.order().marginMm()).stream())
                .toList();
    }

    private static BenchLesson margin(String name, BenchOrder order, List<Double> found) {
        return BenchLesson.of(name, order.marginMm(), Learning.towardsZero(found, Estimates.KNIFE_SD_MM));
    }

    private static List<BenchLesson> byPerson(List<Bench> benches) {
        Map<String, List<Bench>> people = new TreeMap<>();
        benches.stream()
                .filter(bench -> bench.work().isPresent())
                .forEach(bench -> people.computeIfAbsent(bench.by(), name -> new ArrayList<>())
                        .add(bench));
        return people.entrySet().stream()
                .map(person -> BenchLesson.of(
                        person.getKey(),
                        0,
                        Learning.towardsZero(margins(person.getValue().stream()), Estimates.KNIFE_SD_MM)))
                .toList();
    }

    private static @Nullable BenchLesson crust(List<Bench> benches) {
        List<Double> found = benches.stream()
                .flatMap(bench -> bench.work().filter(KnifeWork::measured).stream()
                        .map(work -> Math.log(work.crustMm() / law(bench.figures()))))
                .toList();
        if (found.isEmpty()) {
            return null;
        }
        Learnt learnt = Learning.towardsZero(found, Estimates.TRIM_SD);
        double half = EIGHTY_PERCENT * learnt.sd();
        return new BenchLesson(
                "crust",
                1,
                Math.exp(learnt.value()),
                Math.exp(learnt.value() - half),
                Math.exp(learnt.value() + half),
                learnt.pieces());
    }

    private static double law(Figures figures) {
        return figures.piece()
                .trimModel()
                .orElseThrow()
                .crustMm(figures.ledger().lostOfRest());
    }

    private static BenchLesson steak(List<Bench> benches) {
        List<Double> found = benches.stream()
                .flatMap(
                        bench -> KnifeWork.steakOver(
                                bench.figures().piece().trimModel().orElseThrow(),
                                bench.figures().ledger())
                                .stream())
                .toList();
        return BenchLesson.of("steak", 0, Learning.towardsZero(found, Estimates.STEAK_YIELD_SD));
    }
}
