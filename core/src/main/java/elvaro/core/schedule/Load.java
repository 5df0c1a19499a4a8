package elvaro.core.schedule;

import elvaro.core.estimate.Estimates;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What hangs in a chamber over time, with what is planned, and whether something more fits. Reference section 8.
 *
 * @param limits what the chamber takes
 * @param stays everything that hangs or is planned there
 */
public record Load(Limits limits, List<PlannedStay> stays) {

    /**
     * @param grams the weight it carries
     * @param places hooks, or spots on shelves
     * @param shelfSquareMetres area of its shelves; empty where pieces hang
     */
    public record Limits(int grams, int places, Optional<Double> shelfSquareMetres) {}

    /**
     * One piece in the chamber.
     *
     * @param id the piece, or what plans it
     * @param grams its green weight: what it weighs on the day it is hung
     * @param footprint shelf area with the air around it, m²
     * @param from the first day
     * @param to the day it is taken down; from then on its place is free
     */
    public record PlannedStay(UUID id, int grams, double footprint, LocalDate from, LocalDate to) {
        boolean on(LocalDate day) {
            return !day.isBefore(from) && day.isBefore(to);
        }
    }

    /** What is in the chamber on one day. */
    public record LoadDay(LocalDate day, int grams, int places, double shelf) {}

    /**
     * Shelf area a piece takes with an air gap of 25 mm round it.
     *
     * @param surfaceSquareMetres its whole surface
     */
    public static double footprint(double surfaceSquareMetres) {
        double side = Math.sqrt(Estimates.FOOTPRINT_SHARE * surfaceSquareMetres) + Estimates.AIR_GAP_MM / 1000;
        return side * side;
    }

    public LoadDay on(LocalDate day) {
        int grams = 0;
        int places = 0;
        double shelf = 0;
        for (PlannedStay stay : stays) {
            if (stay.on(day)) {
                grams += stay.grams();
                places++;
                shelf += stay.footprint();
            }
        }
        return new LoadDay(day, grams, places, shelf);
    }

    /** Each day from the first, for as many days. */
    public List<LoadDay> over(LocalDate first, int days) {
        return java.util.stream.IntStream.range(0, days)
                .mapToObj(ahead -> on(first.plusDays(ahead)))
                .toList();
    }

    private boolean holds(LoadDay day) {
        return day.grams() <= limits.grams()
                && day.places() <= limits.places()
                && limits.shelfSquareMetres().map(area -> day.shelf() <= area).orElse(true);
    }

    /** The first day of the stays on which more is in the chamber than it takes; empty where all fits. */
    public Optional<LoadDay> tooFull(LocalDate first, int days) {
        return over(first, days).stream().filter(day -> !holds(day)).findFirst();
    }

    /** Whether all the new pieces fit beside what is there, for their whole stay. */
    public boolean fits(List<PlannedStay> coming) {
        List<PlannedStay> all = new ArrayList<>(stays);
        all.addAll(coming);
        Load with = new Load(limits, all);
        // The load only grows on a day something comes in: those days, within the new stays, are all to look at.
        return all.stream()
                .map(PlannedStay::from)
                .filter(day -> coming.stream().anyMatch(stay -> stay.on(day)))
                .distinct()
                .allMatch(day -> with.holds(with.on(day)));
    }

    /**
     * The first day on which pieces that come together fit for their whole stay.
     *
     * @param coming the new pieces, as if they came on {@code earliest}
     * @param within how many days to look ahead
     */
    public Optional<LocalDate> firstFit(List<PlannedStay> coming, LocalDate earliest, int within) {
        return java.util.stream.IntStream.rangeClosed(0, within)
                .mapToObj(wait -> wait)
                .filter(wait ->
                        fits(coming.stream().map(stay -> later(stay, wait)).toList()))
                .findFirst()
                .map(earliest::plusDays);
    }

    private static PlannedStay later(PlannedStay stay, int days) {
        return new PlannedStay(
                stay.id(),
                stay.grams(),
                stay.footprint(),
                stay.from().plusDays(days),
                stay.to().plusDays(days));
    }

    /**
     * The pieces to pull on the day the new ones come so that they fit: those nearest their target first, and no more
     * than are needed. Empty where it fits as it is, or where pulling everything would not do.
     */
    public List<PlannedStay> toPull(List<PlannedStay> coming) {
        if (fits(coming) || !new Load(limits, List.of()).fits(coming)) {
            return List.of();
        }
        LocalDate day = coming.stream()
                .map(PlannedStay::from)
                .min(Comparator.naturalOrder())
                .orElseThrow();
        List<PlannedStay> candidates = stays.stream()
                .filter(stay -> stay.on(day))
                .sorted(Comparator.comparing(PlannedStay::to))
                .toList();
        List<PlannedStay> pulled = new ArrayList<>();
        for (PlannedStay candidate : candidates) {
            pulled.add(candidate);
            List<PlannedStay> left = new ArrayList<>(stays);
            left.removeAll(pulled);
            if (new Load(limits, left).fits(coming)) {
                return List.copyOf(pulled);
            }
        }
        return List.of();
    }
}
