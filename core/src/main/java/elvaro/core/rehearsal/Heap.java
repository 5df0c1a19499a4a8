package elvaro.core.rehearsal;

import elvaro.core.ledger.Stream;
import java.util.EnumSet;
import java.util.Set;

/** What lies on the block when a piece was cut up, and on which piles it may go. */
public enum Heap {
    STEAKS("Steaks", EnumSet.of(Stream.STEAK)),
    /** Dried outside with nothing on it but white bloom. */
    CLEAN_CRUST("Crust, dry and clean", EnumSet.of(Stream.USABLE_TRIM, Stream.DISCARD)),
    FAT("Fat, firm and white", EnumSet.of(Stream.FAT, Stream.USABLE_TRIM, Stream.DISCARD)),
    TURNED_FAT("Fat, yellow, smells of old nuts", EnumSet.of(Stream.DISCARD)),
    BONE("Bone", EnumSet.of(Stream.BONE, Stream.DISCARD)),
    /** Mould that is not the white bloom, slime, rot, and what lay about them. */
    SPOILT("Dark, soft or mouldy parts", EnumSet.of(Stream.DISCARD));

    private final String label;
    private final Set<Stream> piles;

    Heap(String label, Set<Stream> piles) {
        this.label = label;
        this.piles = piles;
    }

    /** As it lies there; it says what is seen, not what to do. */
    public String label() {
        return label;
    }

    /** Whether all of it must be thrown away. */
    boolean mustGo() {
        return piles.equals(EnumSet.of(Stream.DISCARD));
    }

    /** Whether it may lie on that pile: what is spoilt goes nowhere but to the discard. */
    public boolean mayGoTo(Stream pile) {
        return piles.contains(pile);
    }
}
