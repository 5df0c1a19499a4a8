package elvaro.core.inspection;

import elvaro.core.ledger.DiscardCause;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a person saw and smelled on one piece.
 *
 * @param colour of most of the surface
 * @param surface as it feels under a gloved finger
 * @param moulds every kind that grows on it, none for none
 * @param extent how much of the surface is under mould; {@link Extent#NONE} exactly when there are no moulds
 * @param smell close to the surface
 * @param spots what else was found
 * @param depth how deep what is bad goes, as far as it could be seen
 * @param liftedPercent share of the membrane that does not touch meat, 0–100; 0 without a membrane
 * @param sealOpen whether the membrane's seal is open
 */
public record Observation(
        Colour colour,
        SurfaceFeel surface,
        Set<Mould> moulds,
        Extent extent,
        Smell smell,
        Set<Spot> spots,
        Depth depth,
        int liftedPercent,
        boolean sealOpen) {

    public enum Colour {
        BRIGHT_RED,
        DARK_RED,
        BROWN,
        GREY,
        GREEN
    }

    public enum SurfaceFeel {
        LEATHERY,
        DRY,
        TACKY,
        WET,
        SLIMY
    }

    /** Mould by kind and colour. */
    public enum Mould {
        WHITE_POWDER,
        GREEN,
        BLUE,
        BLACK,
        PINK,
        HAIRY
    }

    public enum Extent {
        NONE,
        SPOTS,
        PATCHES,
        MOST
    }

    /** As people report it, in the order of the answers. Common practice, no source. */
    public enum Smell {
        NOTHING("of nothing"),
        CLEAN("clean"),
        NUTTY("nutty"),
        BREAD("of bread or yeast"),
        PASTRY("of pastry"),
        BUTTER("of butter"),
        BLUE_CHEESE("of blue cheese"),
        CURED_SAUSAGE("of cured sausage"),
        ALCOHOL("of alcohol"),
        SMOKE("of smoke"),
        FAINTLY_ACID("faintly acid"),
        SOUR("sour"),
        AMMONIA("of ammonia"),
        PUTRID("putrid");

        private final String label;

        Smell(String label) {
            this.label = label;
        }

        /** As it stands behind "smells". */
        public String label() {
            return label;
        }
    }

    /** What is looked for beside colour, surface and mould. */
    public enum Spot {
        /** Deep folds, patches or knife cuts on an exposed side. */
        FOLD,
        SOFT_ROT,
        /** A bag that is blown up. */
        GAS,
        /** Game: glands or bloodshot meat. */
        GLAND_OR_BLOODSHOT
    }

    /** How far what is bad goes. */
    public enum Depth {
        PART,
        THROUGH
    }

    public Observation {
        moulds = Set.copyOf(moulds);
        spots = Set.copyOf(spots);
        if (moulds.isEmpty() != (extent == Extent.NONE)) {
            throw new IllegalArgumentException("Say how far the mould goes, and which mould it is.");
        }
        if (liftedPercent < 0 || liftedPercent > 100) {
            throw new IllegalArgumentException("The share that lifted is 0 to 100 %.");
        }
    }

    /** Why what is bad would be thrown away, the worst first; empty where nothing is bad. */
    public Optional<DiscardCause> cause() {
        boolean foreign = moulds.stream().anyMatch(mould -> mould != Mould.WHITE_POWDER);
        if (spots.contains(Spot.SOFT_ROT) || spots.contains(Spot.GAS) || surface == SurfaceFeel.SLIMY) {
            return Optional.of(DiscardCause.ROT);
        }
        if (foreign) {
            return Optional.of(DiscardCause.MOULD);
        }
        return switch (smell) {
            case SOUR, AMMONIA, PUTRID -> Optional.of(DiscardCause.SMELL);
            default -> spots.contains(Spot.GLAND_OR_BLOODSHOT) ? Optional.of(DiscardCause.BLOODSHOT) : Optional.empty();
        };
    }

    /** In one line, as it stands in a record. */
    public String told() {
        List<String> said = new ArrayList<>(List.of(words(colour), words(surface)));
        said.add(moulds.isEmpty() ? "no mould" : all(moulds) + " mould, " + words(extent));
        said.add("smells " + smell.label());
        if (!spots.isEmpty()) {
            said.add(all(spots));
        }
        if (liftedPercent > 0) {
            said.add("%d %% of the membrane lifted".formatted(liftedPercent));
        }
        if (sealOpen) {
            said.add("seal open");
        }
        if (depth == Depth.THROUGH) {
            said.add("through the piece");
        }
        return String.join(", ", said);
    }

    private static String all(Set<? extends Enum<?>> constants) {
        return constants.stream().map(Observation::words).sorted().collect(Collectors.joining(" and "));
    }

    private static String words(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
