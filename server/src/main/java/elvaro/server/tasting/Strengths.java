package elvaro.server.tasting;

import elvaro.core.estimate.Estimates;
import elvaro.core.tasting.BradleyTerry;
import elvaro.core.tasting.TastingOutcome.Duel;
import elvaro.core.tasting.Voices;
import elvaro.core.trial.Band;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.piece.Piece;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentQueries;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How treatments and methods are liked against each other, over all tastings. */
@Service
@Transactional(readOnly = true)
class Strengths {
    private static final String PLAIN = "Plain";
    private static final String FRESH = "Fresh";
    private static final double LEVEL = 0.8;

    private final TastingRepository tastings;
    private final TastingAggregates tables;
    private final PieceQueries pieces;
    private final TreatmentQueries treated;

    Strengths(TastingRepository tastings, TastingAggregates tables, PieceQueries pieces, TreatmentQueries treated) {
        this.tastings = tastings;
        this.tables = tables;
        this.pieces = pieces;
        this.treated = treated;
    }

    /** Treatments and methods apart; each list of groups holds only what can be compared. */
    record StrengthsView(List<StrengthGroup> treatments, List<StrengthGroup> methods) {}

    /** @param against what the rest is held against: plain where it is among them, else the one that was tasted most */
    record StrengthGroup(String against, List<StrengthView> others) {}

    /**
     * One of a group.
     *
     * @param chance that a taster likes it more than what it is held against, with its 80 % band
     * @param voices choices it rests on, one of each taster
     */
    record StrengthView(String name, double chance, double low, double high, int tastings, double voices) {}

    StrengthsView all() {
        List<TastingAggregate> revealed = tables.all(tastings.newest().stream()
                .filter(tasting -> tasting.state() == TastingState.REVEALED)
                .toList());
        List<UUID> ids = revealed.stream()
                .flatMap(laid -> laid.samples().stream())
                .flatMap(sample -> sample.pieceId().stream())
                .distinct()
                .toList();
        Map<UUID, List<Given>> given = treated.given(ids);
        Map<UUID, Piece> byId =
                ids.stream().map(pieces::find).collect(Collectors.toMap(Piece::id, Function.identity()));
        return new StrengthsView(
                groups(
                        revealed,
                        sample -> sample.finish()
                                .on(sample.pieceId()
                                        .map(id -> given.getOrDefault(id, List.of()).stream()
                                                .map(each -> each.kind().label())
                                                .distinct()
                                                .sorted()
                                                .collect(Collectors.joining(" + ")))
                                        .map(label -> label.isEmpty() ? PLAIN : label)
                                        .orElse(sample.name()))),
                groups(
                        revealed,
                        sample -> sample.finish()
                                .on(sample.pieceId()
                                        .map(id -> byId.get(id)
                                                .method()
                                                .map(method -> method.label())
                                                .orElse(FRESH))
                                        .orElse(sample.name()))));
    }

    private static List<StrengthGroup> groups(List<TastingAggregate> revealed, Function<TastingSample, String> what) {
        Voices<String> voices = new Voices<>();
        Map<String, Set<UUID>> tasted = new HashMap<>();
        for (TastingAggregate laid : revealed) {
            List<String> names = laid.samples().stream().map(what).toList();
            for (Duel duel : laid.outcome().duels()) {
                String better = names.get(duel.better());
                String worse = names.get(duel.worse());
                if (!better.equals(worse)) {
                    UUID session = laid.tasting().id();
                    Stream.of(better, worse)
                            .forEach(name -> tasted.computeIfAbsent(name, each -> new HashSet<>())
                                    .add(session));
                    voices.add(laid.taster(duel.taster()), session, better, worse, duel.weight());
                }
            }
        }
        double[][] wins = voices.wins();
        if (wins.length == 0) {
            return List.of();
        }
        BradleyTerry strengths = BradleyTerry.of(wins, Estimates.LIKING_SD);
        List<String> names = voices.things();
        return BradleyTerry.connected(wins).stream()
                .map(members -> group(members, names, wins, strengths, tasted))
                .toList();
    }

    private static StrengthGroup group(
            List<Integer> members,
            List<String> names,
            double[][] wins,
            BradleyTerry strengths,
            Map<String, Set<UUID>> tasted) {
        int against = members.stream()
                .max(Comparator.comparing((Integer each) -> names.get(each).equals(PLAIN))
                        .thenComparing(each -> voices(wins, each)))
                .orElseThrow();
        List<StrengthView> others = members.stream()
                .filter(each -> each != against)
                .map(each -> {
                    Band band = strengths.chance(each, against, LEVEL);
                    return new StrengthView(
                            names.get(each),
                            strengths.chance(each, against),
                            band.low(),
                            band.high(),
                            tasted.get(names.get(each)).size(),
                            voices(wins, each));
                })
                .sorted(Comparator.comparing(StrengthView::chance).reversed())
                .toList();
        return new StrengthGroup(names.get(against), others);
    }

    private static double voices(double[][] wins, int one) {
        double sum = 0;
        for (int other = 0; other < wins.length; other++) {
            sum += wins[one][other] + wins[other][one];
        }
        return sum;
    }
}
