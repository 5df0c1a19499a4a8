package elvaro.core.rehearsal;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.inspection.Appearance;
import elvaro.core.inspection.Appearance.Cover;
import elvaro.core.inspection.Circumstances;
import elvaro.core.inspection.LookVerdict;
import elvaro.core.inspection.Observation;
import elvaro.core.inspection.Observation.Colour;
import elvaro.core.inspection.Observation.Depth;
import elvaro.core.inspection.Observation.Extent;
import elvaro.core.inspection.Observation.Mould;
import elvaro.core.inspection.Observation.Smell;
import elvaro.core.inspection.Observation.Spot;
import elvaro.core.inspection.Observation.SurfaceFeel;
import elvaro.core.inspection.Rule.Answer;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** What of the truth can be seen, felt and smelled. */
public final class Sight {
    /** White bloom can be seen from here on, as a share of the surface. */
    private static final double SEEN = 0.01;

    private static final List<Mould> FOREIGN = List.of(Mould.GREEN, Mould.BLUE, Mould.BLACK, Mould.PINK, Mould.HAIRY);

    private final RehearsalPlan plan;
    private final PieceTruth truth;
    private final boolean opened;

    /** Of a piece that hangs. */
    public Sight(RehearsalPlan plan, PieceTruth truth) {
        this(plan, truth, false);
    }

    /** @param opened whether it came down and its seal or cloth is off */
    public Sight(RehearsalPlan plan, PieceTruth truth, boolean opened) {
        this.plan = plan;
        this.truth = truth;
        this.opened = opened;
    }

    private Cover cover() {
        if (opened) {
            return Cover.NONE;
        }
        if (plan.method() == Method.FAT_SEAL) {
            return Cover.FAT;
        }
        return plan.coating() == Coating.CLOTH ? Cover.CLOTH : Cover.NONE;
    }

    /** Which foreign mould grows in this world: what stands grows hair, what is cold and damp goes black or green. */
    private Mould foreignMould() {
        if (truth.air().speed() < 0.1 && truth.foreign() > 0.05) {
            return Mould.HAIRY;
        }
        return FOREIGN.get((int) Math.floorMod(plan.seed() * 31 + 7, (long) FOREIGN.size()));
    }

    private boolean isWrapped() {
        return truth.isWrapped();
    }

    /** How it is drawn. */
    public Appearance appearance() {
        double dried = share(1.9, 0.5, truth.skinWater());
        double days = Math.min(1, truth.day() / 25);
        Map<Mould, Double> moulds = new EnumMap<>(Mould.class);
        if (truth.bloom() >= SEEN) {
            moulds.put(Mould.WHITE_POWDER, truth.bloom());
        }
        if (truth.foreign() >= PieceTruth.SPOT) {
            moulds.put(foreignMould(), truth.foreign());
        }
        double spoilt = share(PieceTruth.SOUR, 8.8, truth.bacteria());
        double wet = share(0.955, 0.99, truth.wettest());
        boolean syrup = plan.coating() == Coating.SYRUP;
        return new Appearance(
                Math.max(0.1 + 0.5 * days, dried),
                Math.max(0, Math.min(1, dried * (0.35 + 0.65 * days))),
                0.7 * spoilt,
                0.6 * share(8, 9, truth.bacteria()),
                syrup ? 0.8 : Math.max(0.05, 0.75 * wet),
                syrup ? 0.2 : dried,
                share(PieceTruth.SLIME - 0.2, 8.5, truth.bacteria()),
                moulds,
                rots() ? pocketShare() : 0,
                isWrapped(),
                truth.lifted(),
                truth.sealOpen(),
                isWrapped() ? Math.min(1, truth.day() / 14) : 0,
                syrup ? 0.7 : 0,
                truth.fold(),
                gas(),
                false,
                cover());
    }

    /** From 0 at one value to 1 at another. */
    private static double share(double none, double all, double value) {
        return Math.max(0, Math.min(1, (value - none) / (all - none)));
    }

    /** Under a seal nobody sees it before it comes off. */
    private boolean rots() {
        return truth.pocketMm() >= PieceTruth.ROT_MM && cover() != Cover.FAT;
    }

    private double pocketShare() {
        return plan.method() == Method.FAT_SEAL ? 0.7 : Math.min(0.5, Math.max(0.08, truth.lifted() / 2));
    }

    private boolean gas() {
        return plan.method() == Method.VACUUM && truth.acid() > 8.5;
    }

    /** What a careful person writes down of it. */
    public Observation observation() {
        Appearance seen = appearance();
        Set<Spot> spots = EnumSet.noneOf(Spot.class);
        if (truth.fold()) {
            spots.add(Spot.FOLD);
        }
        if (rots()) {
            spots.add(Spot.SOFT_ROT);
        }
        if (gas()) {
            spots.add(Spot.GAS);
        }
        double covered = Math.min(
                1, seen.moulds().values().stream().mapToDouble(each -> each).sum());
        return new Observation(
                colour(seen),
                feel(seen),
                seen.moulds().keySet(),
                covered == 0
                        ? Extent.NONE
                        : covered < 0.08 ? Extent.SPOTS : covered < 0.5 ? Extent.PATCHES : Extent.MOST,
                smell(),
                spots,
                truth.isLost() ? Depth.THROUGH : Depth.PART,
                (int) Math.round(100 * truth.lifted()),
                truth.sealOpen());
    }

    /**
     * What somebody wrote down beside what was there.
     *
     * @param written by them
     * @param day on which they looked
     */
    public LookTold beside(Observation written, double day) {
        Observation there = observation();
        Circumstances at = new Circumstances(plan.method(), day);
        List<String> missed = new ArrayList<>();
        if (there.surface() != written.surface()) {
            missed.add("The surface was %s.".formatted(words(there.surface())));
        }
        Set<Mould> grows = EnumSet.noneOf(Mould.class);
        grows.addAll(there.moulds());
        grows.removeAll(written.moulds());
        grows.forEach(mould -> missed.add("There was %s mould on it.".formatted(words(mould))));
        Set<Mould> none = EnumSet.noneOf(Mould.class);
        none.addAll(written.moulds());
        none.removeAll(there.moulds());
        none.forEach(mould -> missed.add("There was no %s mould on it.".formatted(words(mould))));
        there.spots().stream()
                .filter(spot -> !written.spots().contains(spot))
                .sorted()
                .forEach(spot -> missed.add("There was %s.".formatted(words(spot))));
        if (isFoul(there.smell()) != isFoul(written.smell())) {
            missed.add("It smelled %s.".formatted(there.smell().label()));
        }
        if (Math.abs(there.liftedPercent() - written.liftedPercent()) > 20) {
            missed.add("%d %% of the membrane had lifted.".formatted(there.liftedPercent()));
        }
        if (there.sealOpen() && !written.sealOpen()) {
            missed.add("Its seal was open.");
        }
        return new LookTold(
                LookVerdict.of(written, at).answer(), LookVerdict.of(there, at).answer(), missed);
    }

    /**
     * A look, judged.
     *
     * @param yours the answer to what was written
     * @param right the answer to what was there
     * @param missed what was there and was not written, or the other way about, in sentences
     */
    public record LookTold(Answer yours, Answer right, List<String> missed) {}

    private static boolean isFoul(Smell smell) {
        return smell == Smell.SOUR || smell == Smell.AMMONIA || smell == Smell.PUTRID || smell == Smell.FAINTLY_ACID;
    }

    private static String words(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static Colour colour(Appearance seen) {
        if (seen.green() > 0.3) {
            return Colour.GREEN;
        }
        if (seen.grey() > 0.45) {
            return Colour.GREY;
        }
        if (seen.brown() > 0.5) {
            return Colour.BROWN;
        }
        return seen.dark() > 0.35 ? Colour.DARK_RED : Colour.BRIGHT_RED;
    }

    private static SurfaceFeel feel(Appearance seen) {
        if (seen.slime() > 0.25) {
            return SurfaceFeel.SLIMY;
        }
        if (seen.syrup() > 0.3) {
            return SurfaceFeel.TACKY;
        }
        if (seen.gloss() > 0.62) {
            return SurfaceFeel.WET;
        }
        if (seen.gloss() > 0.45) {
            return SurfaceFeel.TACKY;
        }
        return seen.leather() > 0.75 ? SurfaceFeel.LEATHERY : SurfaceFeel.DRY;
    }

    /** The worst of what it smells of. */
    private Smell smell() {
        if (truth.bacteria() >= PieceTruth.PUTRID || rots()) {
            return Smell.PUTRID;
        }
        if (truth.bacteria() >= PieceTruth.SOUR) {
            return Smell.SOUR;
        }
        if (isWrapped() && truth.acid() >= 6.5) {
            return Smell.FAINTLY_ACID;
        }
        if (truth.scent() > 1) {
            return Smell.ALCOHOL;
        }
        if (truth.bloom() > 0.6 && truth.day() > 45) {
            return Smell.BLUE_CHEESE;
        }
        if (truth.day() > 18) {
            return Smell.NUTTY;
        }
        return Smell.CLEAN;
    }
}
