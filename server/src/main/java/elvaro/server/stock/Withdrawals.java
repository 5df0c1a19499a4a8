package elvaro.server.stock;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** What the movements of a pack say together. */
final class Withdrawals {
    private Withdrawals() {}

    static int left(Pack pack, List<? extends Movement> outs) {
        return left(pack.grams(), outs);
    }

    static int left(int grams, List<? extends Movement> outs) {
        return grams - standing(outs).stream().mapToInt(Movement::grams).sum();
    }

    /** What went out and was not taken back, in the order it did. */
    static <M extends Movement> List<M> standing(List<M> outs) {
        if (outs.size() == 1) { // as nearly always
            return outs.get(0).takesBack().isEmpty() ? outs : List.of();
        }
        Set<UUID> slips = outs.stream().flatMap(out -> out.takesBack().stream()).collect(Collectors.toSet());
        return outs.stream()
                .filter(out -> out.takesBack().isEmpty() && !slips.contains(out.id()))
                .toList();
    }
}
