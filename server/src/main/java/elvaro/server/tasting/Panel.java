package elvaro.server.tasting;

import elvaro.core.tasting.Agreement;
import elvaro.core.tasting.TastingOutcome;
import elvaro.server.shared.Refusal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people who taste for this workshop, and the words they found. */
@Service
@Transactional
class Panel {
    private static final int MOST_FOUND = 200;

    private final TastingRepository tastings;
    private final TastingAggregates tables;

    Panel(TastingRepository tastings, TastingAggregates tables) {
        this.tastings = tastings;
        this.tables = tables;
    }

    /**
     * A taster's record, the workshop's own.
     *
     * @param sittings tastings that are revealed
     * @param agreed how often of {@code judged} pairs the taster sided with most of the others
     * @param same how often of {@code repeated} the taster said the same twice
     * @param found odd ones of {@code tried}
     */
    record TasterView(
            UUID id,
            int version,
            String name,
            int sittings,
            int agreed,
            int judged,
            int same,
            int repeated,
            int found,
            int tried) {}

    /** Words of a tasting that is revealed. */
    record FoundNote(UUID tastingId, String question, LocalDate heldOn, String sample, String words) {}

    private List<TastingAggregate> revealed() {
        return tables.all(tastings.newest().stream()
                .filter(tasting -> tasting.state() == TastingState.REVEALED)
                .toList());
    }

    /** Everybody who has a name. */
    @Transactional(readOnly = true)
    List<TasterView> tasters() {
        Map<UUID, TasterTally> heard = new HashMap<>();
        for (TastingAggregate laid : revealed()) {
            TastingOutcome outcome = laid.outcome();
            for (TastingPlace place : laid.places()) {
                heard.computeIfAbsent(place.taster().id(), id -> new TasterTally())
                        .sat(laid, outcome, place);
            }
        }
        return tastings.tasters().stream()
                .map(taster ->
                        heard.getOrDefault(taster.id(), new TasterTally()).view(taster))
                .toList();
    }

    private static final class TasterTally {
        private int sittings;
        private Agreement withOthers = Agreement.NONE;
        private Agreement withSelf = Agreement.NONE;
        private Agreement odd = Agreement.NONE;

        private void sat(TastingAggregate laid, TastingOutcome outcome, TastingPlace place) {
            sittings++;
            withOthers = withOthers.plus(outcome.agreement(place.position()));
            withSelf = withSelf.plus(outcome.consistency(place.position()));
            odd = odd.plus(outcome.foundOdd(place.position()));
        }

        private TasterView view(Taster taster) {
            return new TasterView(
                    taster.id(),
                    taster.version(),
                    taster.label(),
                    sittings,
                    withOthers.agreed(),
                    withOthers.of(),
                    withSelf.agreed(),
                    withSelf.of(),
                    odd.agreed(),
                    odd.of());
        }
    }

    /** Takes a taster's name away for good. What was answered stays and counts, nobody's. */
    void forget(UUID id, int version) {
        Taster taster = tastings.taster(id).orElseThrow(() -> Refusal.notFound("taster"));
        if (!taster.forgotten()) {
            taster.mustStillBe(version);
            taster.forget();
        }
    }

    /** @param wanted to be found in the words, in any case; the newest tastings first */
    @Transactional(readOnly = true)
    List<FoundNote> notes(String wanted) {
        String part = wanted.strip().toLowerCase(Locale.ROOT);
        Map<UUID, TastingAggregate> tables = revealed().stream()
                .collect(Collectors.toMap(laid -> laid.tasting().id(), Function.identity()));
        if (tables.isEmpty()) {
            return List.of();
        }
        List<FoundNote> found = new ArrayList<>();
        for (TastingNote note : tastings.notesOf(tables.keySet())) {
            if (note.words().toLowerCase(Locale.ROOT).contains(part)) {
                TastingAggregate laid = tables.get(note.tastingId());
                String sample = laid.samples().stream()
                        .filter(each -> each.id().equals(note.sampleId()))
                        .map(TastingSample::name)
                        .findFirst()
                        .orElse("");
                found.add(new FoundNote(
                        laid.tasting().id(),
                        laid.tasting().question(),
                        laid.tasting().heldOn(),
                        sample,
                        note.words()));
            }
        }
        found.sort(java.util.Comparator.comparing(FoundNote::heldOn).reversed());
        return found.stream().limit(MOST_FOUND).toList();
    }
}
