package elvaro.core.past;

import elvaro.core.ledger.Stream;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** What a column of a table of the past may hold. */
public enum PastField {
    PIECE("Piece", "tag|piece|name|id|no\\.?|number|st(ü|u)ck"),
    CUT("Cut", "cut|primal"),
    SUPPLIER("Supplier", "supplier|from|farm|bought"),
    GRADE("Grade", "grade|marbling|quality"),
    PRICE("Price a kg", "price|cost|paid"),
    METHOD("Method", "method|how"),
    HUNG_ON("Hung on", "hung|hang|start|begin|day 0|in on|date in"),
    GREEN("Green weight", "green|fresh|initial|starting|start weight|weight in|day 0 weight"),
    DAY("Day of weighing", "date|day|weighed on|when"),
    WEIGHT("Weight", "weight|weighed(?! on)|grams|kg|lbs?"),
    PULLED_ON("Pulled on", "pull|end|out on|date out|finish"),
    AGED("Aged weight", "aged|final|end weight|weight out|pulled weight"),
    STEAK("Steaks", "steak|portion|roast"),
    USABLE_TRIM("Usable trim", "usable|grind|trim"),
    FAT("Fat", "fat|tallow"),
    BONE("Bone", "bone"),
    DISCARD("Discard", "discard|waste|crust|thrown|loss");

    private final String label;
    private final Pattern heads;

    PastField(String label, String heads) {
        this.label = label;
        this.heads = Pattern.compile("(?i).*\\b(" + heads + ").*");
    }

    public String label() {
        return label;
    }

    /** The column of a pile. */
    public static PastField of(Stream pile) {
        return switch (pile) {
            case STEAK -> STEAK;
            case USABLE_TRIM -> USABLE_TRIM;
            case FAT -> FAT;
            case BONE -> BONE;
            case DISCARD -> DISCARD;
        };
    }

    /** Whether a weight stands in it. */
    public boolean weighs() {
        return this == GREEN
                || this == WEIGHT
                || this == AGED
                || Arrays.stream(Stream.values()).anyMatch(pile -> of(pile) == this);
    }

    /** Those told first are the plainer ones: “green weight” is no mere weight, “hung on” no mere day. */
    private static final List<PastField> IN_TURN = List.of(
            GREEN,
            AGED,
            HUNG_ON,
            PULLED_ON,
            STEAK,
            USABLE_TRIM,
            FAT,
            BONE,
            DISCARD,
            SUPPLIER,
            GRADE,
            PRICE,
            METHOD,
            CUT,
            WEIGHT,
            DAY,
            PIECE);

    /** Which column is likely what, by its head; each column and each field at most once. */
    public static Map<PastField, Integer> guess(List<String> heads) {
        Map<PastField, Integer> guessed = new EnumMap<>(PastField.class);
        for (PastField field : IN_TURN) {
            for (int column = 0; column < heads.size(); column++) {
                if (!guessed.containsValue(column)
                        && field.heads.matcher(heads.get(column)).matches()) {
                    guessed.put(field, column);
                    break;
                }
            }
        }
        return guessed;
    }
}
