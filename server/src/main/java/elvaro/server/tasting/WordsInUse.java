package elvaro.server.tasting;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The words tasters used before, to be offered again. */
@Component
class WordsInUse {
    private static final int MOST = 16;
    private static final int LONGEST = 30;

    /** Words go out of use. */
    private static final int TASTINGS_BACK = 40;

    /** To begin with. Common practice, no source. */
    private static final List<String> FIRST = List.of(
            "nutty", "buttery", "beefy", "mushroom", "blue cheese", "sweet", "sour", "bitter", "metallic", "smoky");

    private final TastingRepository tastings;

    WordsInUse(TastingRepository tastings) {
        this.tastings = tastings;
    }

    /** The most used first; none by which one of the samples could be known. */
    List<String> chips(TastingAggregate laid) {
        Set<String> telling =
                Hints.telling(Stream.concat(Stream.of(laid.tasting().question()), laid.names().stream()));
        List<java.util.UUID> revealed = tastings.newest().stream()
                .filter(tasting -> tasting.state() == TastingState.REVEALED)
                .map(Tasting::id)
                .limit(TASTINGS_BACK)
                .toList();
        Map<String, Long> used = revealed.isEmpty()
                ? Map.of()
                : tastings.notesOf(revealed).stream()
                        .flatMap(note -> Arrays.stream(
                                note.words().toLowerCase(Locale.ROOT).split("[,;.]")))
                        .map(String::strip)
                        .filter(word -> !word.isEmpty() && word.length() <= LONGEST)
                        .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
        Stream<String> often = used.entrySet().stream()
                .filter(each -> each.getValue() > 1)
                .sorted(Map.Entry.<String, Long>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey);
        return Stream.concat(often, FIRST.stream())
                .filter(word -> !Hints.tells(word, telling))
                .distinct()
                .limit(MOST)
                .toList();
    }
}
