package elvaro.core.tasting;

import static elvaro.core.working.Quantity.temperature;
import static elvaro.core.working.Quantity.warmth;

import elvaro.core.estimate.Estimates;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** What weakens a tasting, in words. Common practice, no source, but for the limit of reference section 11. */
public final class Weakness {
    private Weakness() {}

    /**
     * A sample as it came to the table.
     *
     * @param core highest temperature measured in it, °C
     */
    public record Cooked(String name, OptionalDouble core, boolean sameSeasoning, boolean thawed) {}

    /**
     * @param knew names, or codes, of tasters who knew or guessed
     * @param missing of those asked, who did not answer
     */
    public static List<String> of(List<Cooked> samples, List<String> knew, int asked, int missing) {
        List<String> found = new ArrayList<>();
        cores(samples, found);
        List<String> otherwise = names(samples.stream().filter(each -> !each.sameSeasoning()));
        if (!otherwise.isEmpty()) {
            found.add("%s seasoned otherwise than the rest.".formatted(are(otherwise)));
        }
        long thawed = samples.stream().filter(Cooked::thawed).count();
        if (thawed > 0 && thawed < samples.size()) {
            found.add("%s thawed, the rest never frozen."
                    .formatted(are(names(samples.stream().filter(Cooked::thawed)))));
        }
        if (!knew.isEmpty()) {
            found.add("%s knew or guessed which was which.".formatted(String.join(", ", knew)));
        }
        if (missing > 0) {
            found.add("%d of %d tasters did not answer all of it.".formatted(missing, asked));
        }
        return List.copyOf(found);
    }

    private static void cores(List<Cooked> samples, List<String> found) {
        List<String> unmeasured =
                names(samples.stream().filter(each -> each.core().isEmpty()));
        if (!unmeasured.isEmpty()) {
            found.add("The core of %s was not measured.".formatted(String.join(", ", unmeasured)));
        }
        double least = samples.stream()
                .flatMapToDouble(each -> each.core().stream())
                .min()
                .orElse(0);
        double most = samples.stream()
                .flatMapToDouble(each -> each.core().stream())
                .max()
                .orElse(0);
        if (most - least > Estimates.CORES_APART) {
            found.add("The cores lay at %s to %s, more than %s apart: doneness alone may have decided."
                    .formatted(temperature(least), temperature(most), warmth((int) Estimates.CORES_APART)));
        }
    }

    private static List<String> names(java.util.stream.Stream<Cooked> samples) {
        return samples.map(Cooked::name).toList();
    }

    private static String are(List<String> names) {
        return String.join(", ", names) + (names.size() == 1 ? " was" : " were");
    }
}
