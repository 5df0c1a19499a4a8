package elvaro.core.past;

import elvaro.core.ledger.Stream;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** What a column of a table of the past may hold. */
public enum PastField {
    PIECE("Piece", "tag|piece|name|id|no\\.?|number|nr\\.?|nummer|st(ü|ue?)ck|teil|pièce|morceau|numéro"),
    CUT("Cut", "cut|primal|zuschnitt|teilstück|découpe|muscle"),
    SUPPLIER("Supplier", "supplier|from|farm|bought|lieferant|herkunft|hof|fournisseur|provenance|ferme"),
    GRADE("Grade", "grade|marbling|quality|qualität|klasse|marmorierung|qualité|classe|persillé"),
    PRICE("Price a kg", "price|cost|paid|preis|kosten|prix|coût"),
    METHOD("Method", "method|how|verfahren|methode|méthode"),
    HUNG_ON(
            "Hung on",
            "hung|hang|start|begin|day 0|in on|date in|aufgehängt|eingehängt|gehängt|beginn|eingang|suspendu|début|entrée"),
    GREEN(
            "Green weight",
            "green|fresh|initial|starting|start weight|weight in|day 0 weight|frischgewicht|anfangsgewicht|startgewicht|einwaage|poids frais|poids de départ|poids initial"),
    DAY("Day of weighing", "date|day|weighed on|when|datum|gewogen am|jour|pesé le"),
    WEIGHT("Weight", "weight|weighed(?! on)|grams|kg|lbs?|gewicht|poids|masse"),
    PULLED_ON("Pulled on", "pull|end|out on|date out|finish|abgehängt|ende|entnommen|sortie|fin"),
    AGED("Aged weight", "aged|final|end weight|weight out|pulled weight|endgewicht|reifgewicht|gereift|poids maturé"),
    STEAK("Steaks", "steaks?|portion(en)?|roast|rôti"),
    USABLE_TRIM("Usable trim", "usable|grind|trim|verwertbar|hack|abschnitte|parures?|haché"),
    FAT("Fat", "fat|tallow|fett|talg|gras|graisse"),
    BONE("Bone", "bones?|knochen|os"),
    DISCARD("Discard", "discard|waste|crust|thrown|loss|abfall|kruste|verlust|déchets?|croûte|perte");

    private final String label;
    private final Pattern heads;

    PastField(String label, String heads) {
        this.label = label;
        this.heads = Pattern.compile("(?iU).*\\b(" + heads + ").*");
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
