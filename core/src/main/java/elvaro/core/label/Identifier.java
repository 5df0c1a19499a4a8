package elvaro.core.label;

import java.util.Arrays;
import java.util.Optional;

/**
 * What a value on a label means, by the application identifier before it. GS1 General Specifications, section 3; identifiers,
 * lengths and forms from memory.
 */
public enum Identifier {
    SSCC("00", 18, 18, Form.CHECKED, "number of the box"),
    GTIN("01", 14, 14, Form.CHECKED, "article"),
    GTIN_INSIDE("02", 14, 14, Form.CHECKED, "article inside"),
    LOT("10", 1, 20, Form.TEXT, "lot"),
    PRODUCED("11", 6, 6, Form.DAY, "production date"),
    PACKED("13", 6, 6, Form.DAY, "packing date"),
    BEST_BEFORE("15", 6, 6, Form.DAY, "best-before date"),
    SELL_BY("16", 6, 6, Form.DAY, "sell-by date"),
    USE_BY("17", 6, 6, Form.DAY, "use-by date"),
    VARIANT("20", 2, 2, Form.DIGITS, "variant"),
    SERIAL("21", 1, 20, Form.TEXT, "serial"),
    SELLERS_ARTICLE("240", 1, 30, Form.TEXT, "seller's article"),
    CUSTOMERS_ARTICLE("241", 1, 30, Form.TEXT, "customer's article"),
    PIECES("30", 1, 8, Form.DIGITS, "count"),
    /** Four digits: the last says how many of the value's are decimals. */
    NET_KILOGRAMS("310", 6, 6, Form.DECIMALS, "net weight"),
    NET_POUNDS("320", 6, 6, Form.DECIMALS, "net weight"),
    UNITS_INSIDE("37", 1, 8, Form.DIGITS, "count inside"),
    ORIGIN("422", 3, 3, Form.DIGITS, "country of origin"),
    /** A day and a time. */
    USE_BY_TIME("7003", 10, 10, Form.DIGITS, "use-by time");

    /** How a value is written. */
    enum Form {
        DIGITS,
        /** Digits, the last of them a check of the others. */
        CHECKED,
        /** YYMMDD. */
        DAY,
        DECIMALS,
        /** Letters, digits and signs of the set 82. */
        TEXT
    }

    private final String code;
    private final int least;
    private final int most;
    private final Form form;
    private final String words;

    Identifier(String code, int least, int most, Form form, String words) {
        this.code = code;
        this.least = least;
        this.most = most;
        this.form = form;
        this.words = words;
    }

    String code() {
        return code;
    }

    int least() {
        return least;
    }

    int most() {
        return most;
    }

    Form form() {
        return form;
    }

    /** What it is, for people. */
    public String words() {
        return words;
    }

    /** @param digits of the identifier, with the digit that counts decimals where there is one */
    static Optional<Identifier> of(String digits) {
        return Arrays.stream(values())
                .filter(each -> each.form == Form.DECIMALS
                        ? digits.length() == 4 && digits.startsWith(each.code)
                        : digits.equals(each.code))
                .findFirst();
    }
}
