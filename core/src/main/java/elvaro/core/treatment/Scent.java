package elvaro.core.treatment;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What a treatment gives off to everything else in the chamber. Common practice, no source. */
public enum Scent {
    /** It stays in a refrigerator for weeks. */
    SPIRIT("spirit", 21),
    SMOKE("smoke", 0);

    /** The treatments that give one off whatever is in them. */
    public static final Set<TreatmentKind> KINDS = Arrays.stream(TreatmentKind.values())
            .filter(kind -> of(kind, false).isPresent())
            .collect(Collectors.toUnmodifiableSet());

    private final String label;
    private final int lingersDays;

    Scent(String label, int lingersDays) {
        this.label = label;
        this.lingersDays = lingersDays;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    /** For how long it is still in the chamber once its piece is gone. */
    public int lingersDays() {
        return lingersDays;
    }

    /** @param spirit whether a strong spirit is in it */
    public static Optional<Scent> of(TreatmentKind kind, boolean spirit) {
        if (spirit) {
            return Optional.of(SPIRIT);
        }
        return switch (kind) {
            case SPIRIT_SPRAY -> Optional.of(SPIRIT);
            case POWDERED_SMOKE, LIQUID_SMOKE, COLD_SMOKE -> Optional.of(SMOKE);
            case LIQUID_SOAK, SOAKED_CLOTH, PASTE, SUGAR_COAT, ACID_SUGAR_COAT, FAT_SEAL, MARINADE, TABLE_BUTTER ->
                Optional.empty();
        };
    }
}
