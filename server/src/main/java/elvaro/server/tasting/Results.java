package elvaro.server.tasting;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Preference;
import elvaro.core.tasting.Sheet;
import elvaro.core.tasting.TastingOutcome;
import elvaro.server.tasting.TastingView.ChoiceView;
import elvaro.server.tasting.TastingView.NoteView;
import elvaro.server.tasting.TastingView.OddView;
import elvaro.server.tasting.TastingView.PairView;
import elvaro.server.tasting.TastingView.RankingView;
import elvaro.server.tasting.TastingView.ResultView;
import elvaro.server.tasting.TastingView.ScoreView;
import elvaro.server.tasting.TastingView.ShiftView;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** What came of a tasting that is revealed. */
@Component
class Results {
    private final TastingRepository tastings;
    private final OutcomeSentences said;

    Results(TastingRepository tastings, OutcomeSentences said) {
        this.tastings = tastings;
        this.said = said;
    }

    ResultView of(TastingAggregate laid) {
        TastingOutcome outcome = laid.outcome();
        return new ResultView(
                said.of(laid),
                choices(laid),
                outcome.pairs().stream()
                        .filter(pair -> pair.preference().decided() > 0)
                        .map(Results::view)
                        .toList(),
                outcome.triangle()
                        .map(odd -> new OddView(
                                odd.correct(),
                                odd.tries(),
                                odd.p(),
                                odd.noticing().low(),
                                odd.noticing().high()))
                        .orElse(null),
                outcome.ranking()
                        .map(test -> new RankingView(test.rankSums(), test.statistic(), test.p(), test.exact()))
                        .orElse(null),
                laid.tasting().attributes().stream()
                        .map(attribute -> scores(outcome, attribute))
                        .toList(),
                TasterLines.of(laid),
                notes(laid));
    }

    private static PairView view(TastingOutcome.Pair pair) {
        Preference preference = pair.preference();
        return new PairView(
                pair.first(),
                pair.second(),
                preference.first(),
                preference.second(),
                preference.undecided(),
                preference.p(),
                pair.adjustedP(),
                preference.probabilityFirstBetter(),
                preference.interval().low(),
                preference.interval().high());
    }

    private static List<ChoiceView> choices(TastingAggregate laid) {
        Map<UUID, TastingPlace> places =
                laid.places().stream().collect(Collectors.toMap(TastingPlace::id, Function.identity()));
        return laid.sheets().stream()
                .map(sheet -> choice(laid, places.get(sheet.placeId()), sheet))
                .toList();
    }

    private static ChoiceView choice(TastingAggregate laid, TastingPlace place, TastingSheet sheet) {
        Sheet decoded = sheet.answers().decoded(laid.tasting().kind(), laid.plate(place, sheet.round()));
        return new ChoiceView(
                place.taster().label(),
                sheet.round(),
                decoded.picked().isPresent() ? decoded.picked().getAsInt() : null,
                decoded.foundOdd().isPresent() ? decoded.foundOdd().getAsInt() == 1 : null,
                IntStream.range(0, laid.samples().size())
                        .mapToObj(sample -> decoded.ranks().get(sample))
                        .filter(Objects::nonNull)
                        .toList(),
                sheet.knew(),
                sheet.typedBy().isPresent());
    }

    private static ScoreView scores(TastingOutcome outcome, Attribute attribute) {
        return new ScoreView(
                attribute,
                outcome.shifts().stream()
                        .filter(shift -> shift.attribute().equals(attribute))
                        .map(shift -> new ShiftView(
                                shift.first(),
                                shift.second(),
                                shift.test().shift(),
                                shift.test().interval().low(),
                                shift.test().interval().high(),
                                shift.test().level(),
                                shift.adjustedP(),
                                shift.strength()))
                        .toList());
    }

    private List<NoteView> notes(TastingAggregate laid) {
        Map<UUID, String> tasterBySheet = laid.sheets().stream()
                .collect(Collectors.toMap(
                        TastingSheet::id,
                        sheet -> laid.places().stream()
                                .filter(place -> place.id().equals(sheet.placeId()))
                                .findFirst()
                                .orElseThrow()
                                .taster()
                                .label()));
        List<UUID> samples = laid.samples().stream().map(TastingSample::id).toList();
        return tastings.notesOf(List.of(laid.tasting().id())).stream()
                .map(note ->
                        new NoteView(tasterBySheet.get(note.sheetId()), samples.indexOf(note.sampleId()), note.words()))
                .toList();
    }
}
