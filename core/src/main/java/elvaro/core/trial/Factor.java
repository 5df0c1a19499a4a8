package elvaro.core.trial;

import elvaro.core.drying.Method;
import java.util.function.Function;

/** The one thing a trial changes. */
public enum Factor {
    TREATMENT("treatment", Facts::treatment),
    METHOD("method", facts -> facts.method().label()),
    CHAMBER("chamber", Facts::chamber),
    AGEING("fresh or aged", facts -> facts.fresh() ? "fresh" : "aged"),
    DAYS("days hung", facts -> facts.days() + " days"),
    GRADE("grade", Facts::grade),
    SUPPLIER("supplier", Facts::supplier),
    CUT("cut", Facts::cut),
    BONE("bone", facts -> facts.boneIn() ? "on the bone" : "boneless"),
    FAT_COVER("fat cover", facts -> facts.fatCoverMm() + " mm"),
    BENCH_ORDER("bench order", Facts::benchOrder),
    HANG_OR_ICE("hanging or ice", facts -> facts.method() == Method.ON_ICE ? "on ice" : "hung");

    private final String label;
    private final Function<Facts, String> value;

    Factor(String label, Function<Facts, String> value) {
        this.label = label;
        this.value = value;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    /** What a piece has of it, in words. */
    public String of(Facts facts) {
        return value.apply(facts);
    }

    /** Whether it is a matter of hanging, so that what is set aside fresh has none of it. */
    boolean isOfHanging() {
        return this == METHOD || this == CHAMBER || this == DAYS || this == HANG_OR_ICE || this == BENCH_ORDER;
    }

    /** Whether it is the animal's, so that the arms cannot come from one. */
    boolean isOfTheAnimal() {
        return this == GRADE || this == SUPPLIER || this == BONE || this == FAT_COVER;
    }

    /** Whether all of a lot is alike in it, so that no lot can be split for it. */
    public boolean isOfTheLot() {
        return isOfTheAnimal() || this == CUT;
    }
}
