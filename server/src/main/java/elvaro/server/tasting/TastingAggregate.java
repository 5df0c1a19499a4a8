package elvaro.server.tasting;

import elvaro.core.tasting.Servings;
import elvaro.core.tasting.Servings.Plate;
import elvaro.core.tasting.Sheet;
import elvaro.core.tasting.TastingOutcome;
import elvaro.core.tasting.Weakness;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A tasting with all that belongs to it, read at once. */
record TastingAggregate(
        Tasting tasting,
        List<TastingSample> samples,
        List<TastingPlace> places,
        List<TastingSheet> sheets,
        Servings servings) {

    static TastingAggregate of(
            Tasting tasting, List<TastingSample> samples, List<TastingPlace> places, List<TastingSheet> sheets) {
        Servings servings = tasting.servings(samples.size(), places.size());
        return new TastingAggregate(tasting, samples, places, sheets, servings);
    }

    List<String> names() {
        return samples.stream().map(TastingSample::name).toList();
    }

    /** Who sat at a position of the table; the same person in every tasting. */
    UUID taster(int position) {
        return places.stream()
                .filter(place -> place.position() == position)
                .map(place -> place.taster().id())
                .findFirst()
                .orElseThrow();
    }

    Plate plate(TastingPlace place, int round) {
        return servings.of(place.position(), round);
    }

    TastingOutcome outcome() {
        Map<UUID, TastingPlace> byId = new HashMap<>();
        places.forEach(place -> byId.put(place.id(), place));
        List<Sheet> decoded = sheets.stream()
                .map(sheet -> sheet.answers().decoded(tasting.kind(), plate(byId.get(sheet.placeId()), sheet.round())))
                .toList();
        return new TastingOutcome(tasting.kind(), names(), tasting.attributes(), decoded);
    }

    /** Until the reveal only what the kitchen knows: who guessed is an answer, and who is missing may still come. */
    List<String> weakenedBy() {
        boolean revealed = tasting.state() == TastingState.REVEALED;
        List<String> knew = !revealed
                ? List.of()
                : places.stream()
                        .filter(place -> sheets.stream()
                                .anyMatch(
                                        sheet -> sheet.knew() && sheet.placeId().equals(place.id())))
                        .map(place -> place.taster().label())
                        .toList();
        int missing = !revealed
                ? 0
                : (int) places.stream()
                        .filter(place -> handedIn(place) < tasting.rounds())
                        .count();
        return Weakness.of(samples.stream().map(TastingSample::cooked).toList(), knew, places.size(), missing);
    }

    private long handedIn(TastingPlace place) {
        return sheets.stream()
                .filter(sheet -> sheet.placeId().equals(place.id()))
                .count();
    }

    /** By round, whether a place handed its sheet in. */
    List<Boolean> arrived(TastingPlace place) {
        return java.util.stream.IntStream.range(0, tasting.rounds())
                .mapToObj(round ->
                        sheets.stream().anyMatch(sheet -> sheet.placeId().equals(place.id()) && sheet.round() == round))
                .toList();
    }
}
