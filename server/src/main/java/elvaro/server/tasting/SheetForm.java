package elvaro.server.tasting;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Servings.Plate;
import elvaro.core.tasting.Servings.Serving;
import elvaro.core.tasting.TastingKind;
import elvaro.server.shared.Refusal;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A sheet as a taster hands it in, by codes.
 *
 * @param round from 0
 * @param picked the code liked more, or of the odd one; absent for neither
 * @param ranks by code, 1 for the best, equal ones alike
 * @param scores by attribute's key and code
 * @param words by code
 * @param knew whether the taster knew or guessed which was which
 */
record SheetForm(
        @NotNull @Min(0) @Max(2) Integer round,
        @Nullable Integer picked,
        @NotNull @Size(max = 6) Map<Integer, Integer> ranks,
        @NotNull @Size(max = 12) Map<String, @NotNull @Size(max = 6) Map<Integer, Integer>> scores,

        @NotNull @Size(max = 6)
        Map<Integer, @NotNull @Size(max = 500, message = "Say it in fewer words.") String> words,

        boolean knew) {

    /**
     * @throws Refusal if it does not answer what stands on the plate
     */
    SheetAnswers answering(TastingKind kind, List<Attribute> attributes, Plate plate) {
        Set<Integer> codes = plate.servings().stream().map(Serving::code).collect(Collectors.toSet());
        Set<String> keys = attributes.stream().map(Attribute::key).collect(Collectors.toSet());
        boolean known = keys.containsAll(scores.keySet())
                && scores.values().stream().allMatch(values -> codes.containsAll(values.keySet()))
                && codes.containsAll(ranks.keySet())
                && codes.containsAll(words.keySet())
                && (picked == null || codes.contains(picked));
        if (!known) {
            throw Refusal.wrong("other-codes", "scores", "These codes are not on this plate. Load the page again.");
        }
        boolean inRange = scores.values().stream()
                .flatMap(values -> values.values().stream())
                .allMatch(score -> score != null && score >= Attribute.LEAST && score <= Attribute.MOST);
        if (!inRange) {
            throw Refusal.wrong("score", "scores", "A score is from 1 to 7.");
        }
        switch (kind) {
            case TRIANGLE -> {
                if (picked == null) {
                    throw Refusal.wrong("missing", "picked", "Choose the odd one. If you cannot tell, guess.");
                }
            }
            case RANKING -> {
                if (!ranks.keySet().equals(codes) || !areRanks(ranks, codes.size())) {
                    throw Refusal.wrong("missing", "ranks", "Put all of them in order.");
                }
            }
            case SCORES -> {
                if (scores.values().stream().allMatch(Map::isEmpty)) {
                    throw Refusal.wrong("missing", "scores", "Score one thing at least.");
                }
            }
            case PAIRED -> {
                // Liking neither more is an answer.
            }
        }
        return new SheetAnswers(picked, kind == TastingKind.RANKING ? ranks : Map.of(), scores);
    }

    private static boolean areRanks(Map<Integer, Integer> ranks, int most) {
        Set<Integer> used = new TreeSet<>(ranks.values());
        return used.stream().allMatch(rank -> rank >= 1 && rank <= most) && used.contains(1);
    }
}
