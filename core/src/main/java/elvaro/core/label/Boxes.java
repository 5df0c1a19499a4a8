package elvaro.core.label;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The boxes of one delivery, from their codes in the order they were scanned; a box may carry several. */
public final class Boxes {
    private final List<BoxLabel> labels = new ArrayList<>();

    /**
     * A code that is the second of the last box is joined to it; any other begins a new one.
     *
     * @param scanned see {@link ElementString#read}
     * @throws IllegalArgumentException with a sentence, if it cannot be read, or that box was scanned already
     */
    public void add(String scanned, LocalDate today) {
        BoxLabel label = BoxLabel.read(scanned, today);
        int last = labels.size() - 1;
        if (last >= 0 && labels.get(last).maySay(label)) {
            labels.set(last, labels.get(last).and(label));
            return;
        }
        boolean again = labels.stream().anyMatch(each -> each.equals(label) ? each.isOneBox() : each.isSameBox(label));
        if (again) {
            throw new IllegalArgumentException("This box was scanned already.");
        }
        labels.add(label);
    }

    public List<BoxLabel> labels() {
        return List.copyOf(labels);
    }

    /** Of all boxes; nothing where one of them says none. */
    public Optional<Integer> grams() {
        return labels.isEmpty()
                        || labels.stream().anyMatch(label -> label.grams().isEmpty())
                ? Optional.empty()
                : Optional.of(labels.stream()
                        .mapToInt(label -> label.grams().orElseThrow())
                        .sum());
    }

    /** The one article all are of; nothing where none says it. */
    public Optional<String> article() {
        return labels.stream().flatMap(label -> label.article().stream()).findFirst();
    }

    /** Whether boxes of several articles were scanned: they are several lots. */
    public boolean isMixed() {
        return labels.stream()
                        .flatMap(label -> label.article().stream())
                        .distinct()
                        .count()
                > 1;
    }

    /** Each of them once. */
    public Set<String> lots() {
        return labels.stream()
                .flatMap(label -> label.lot().stream())
                .collect(Collectors.toCollection(java.util.LinkedHashSet::new));
    }

    /** The oldest counts. */
    public Optional<LocalDate> packed() {
        return labels.stream().flatMap(label -> label.packed().stream()).min(LocalDate::compareTo);
    }

    /** The first to be over counts. */
    public Optional<LocalDate> useBy() {
        return labels.stream().flatMap(label -> label.useBy().stream()).min(LocalDate::compareTo);
    }
}
