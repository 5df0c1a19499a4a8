package elvaro.server.shared;

import elvaro.core.cut.CutCatalogue;
import elvaro.core.working.Quantity;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.time.LocalDate;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** A fact that an inspector is shown: whenever it is changed, what it was and what it became are written down. */
@Target(ElementType.FIELD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Inspected {
    /** What it is called in the record. */
    String value();

    Written as() default Written.WORDS;

    /** Whether it counts as a change when it is said for the first time. */
    boolean first() default true;

    /** How such a fact is written in a sentence. */
    enum Written {
        WORDS,
        /** A code of the catalogue, by the name of its cut. */
        CUT,
        NUMBER,
        GRAMS,
        MILLIMETRES,
        CELSIUS,
        PERCENT,
        DAYS,
        /** Minor units. */
        MONEY,
        /** Minor units a kilogram. */
        PRICE;

        private static final int LONGEST = 1000;

        /** @return the words, empty for a fact that nobody said */
        public String of(@Nullable Object fact) {
            if (fact == null) {
                return "";
            }
            return switch (this) {
                case WORDS -> words(fact);
                case CUT -> CutCatalogue.get(fact.toString()).name();
                case NUMBER -> Quantity.number(((Number) fact).doubleValue(), 0);
                case GRAMS -> Quantity.mass(((Number) fact).longValue());
                case MILLIMETRES -> Quantity.length(((Number) fact).intValue());
                case CELSIUS -> Quantity.temperature(((Number) fact).doubleValue());
                case PERCENT -> Quantity.share(((Number) fact).doubleValue() / 100);
                case DAYS -> Quantity.days(((Number) fact).longValue());
                case MONEY -> Quantity.money(((Number) fact).doubleValue());
                case PRICE -> Quantity.price(((Number) fact).doubleValue());
            };
        }

        private static String words(Object fact) {
            if (fact instanceof LocalDate day) {
                return Quantity.date(day);
            }
            if (fact instanceof Boolean truth) {
                return truth ? "yes" : "no";
            }
            String words = fact instanceof Enum<?> choice
                    ? choice.name().replace('_', ' ').toLowerCase(Locale.ROOT)
                    : Quantity.words(fact.toString());
            return words.length() <= LONGEST ? words : words.substring(0, LONGEST);
        }
    }
}
