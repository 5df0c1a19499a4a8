package elvaro.server.stock;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What the rows of a pack say together. */
final class Withdrawals {
    private Withdrawals() {}

    static int left(Pack pack, List<PackOut> outs) {
        return pack.grams() - standing(outs).stream().mapToInt(PackOut::grams).sum();
    }

    /** What went out and was not taken back, in the order it did. */
    static List<PackOut> standing(List<PackOut> outs) {
        Set<java.util.UUID> slips =
                outs.stream().flatMap(out -> out.takesBack().stream()).collect(Collectors.toSet());
        return outs.stream()
                .filter(out -> out.takesBack().isEmpty() && !slips.contains(out.id()))
                .toList();
    }
}
