package elvaro.server.tasting;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.TastingKind;
import elvaro.core.tasting.Williams;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a host may want to think over before the table is set. */
final class Hints {
    private static final int SHORTEST_WORD = 4;
    private static final int MANY_SERVINGS = 8;

    /** Words everybody expects at a tasting of meat. */
    private static final Set<String> USUAL = Attribute.USUAL.stream()
            .flatMap(attribute -> Stream.of(attribute.label(), attribute.low(), attribute.high()))
            .flatMap(Hints::words)
            .collect(Collectors.toSet());

    private Hints() {}

    static List<String> of(TastingForm form) {
        List<String> hints = new ArrayList<>();
        Set<String> telling = telling(Stream.concat(
                Stream.of(form.question()), form.samples().stream().map(TastingForm.SampleForm::name)));
        form.attributes().stream()
                .filter(attribute -> !Attribute.USUAL.contains(attribute))
                .filter(attribute -> tells(attribute.label() + " " + attribute.low() + " " + attribute.high(), telling))
                .forEach(attribute -> hints.add("“%s” tells the tasters what to look for. Give it a name that does not."
                        .formatted(attribute.label())));
        int orders = form.kind() == TastingKind.TRIANGLE
                ? 6
                : Williams.orders(form.samples().size()).size();
        int plates = form.tasters().size() * form.rounds();
        if (plates % orders != 0) {
            hints.add(
                    "Orders come out even with %d, %d or %d plates; with %d some are eaten once more often than others."
                            .formatted(orders, 2 * orders, 3 * orders, plates));
        }
        long thawed =
                form.samples().stream().filter(TastingForm.SampleForm::thawed).count();
        if (thawed > 0 && thawed < form.samples().size()) {
            hints.add(
                    "Some samples were frozen and some were not: freezing alone is noticed. Freeze them all, for as long.");
        }
        int servings = form.kind().servings(form.samples().size()) * form.rounds();
        if (servings > MANY_SERVINGS) {
            hints.add("%d servings tire a tongue. Fewer samples, or rounds on another day, say more."
                    .formatted(servings));
        }
        return List.copyOf(hints);
    }

    /** Words by which a sample could be known, in small letters. */
    static Set<String> telling(Stream<String> names) {
        return names.flatMap(Hints::words)
                .filter(word -> word.length() >= SHORTEST_WORD && !USUAL.contains(word))
                .collect(Collectors.toSet());
    }

    static boolean tells(String text, Set<String> telling) {
        return words(text)
                .anyMatch(word -> telling.stream()
                        .anyMatch(each ->
                                word.startsWith(each) || each.startsWith(word) && word.length() >= SHORTEST_WORD));
    }

    private static Stream<String> words(String text) {
        return Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^\\p{L}]+"));
    }
}
