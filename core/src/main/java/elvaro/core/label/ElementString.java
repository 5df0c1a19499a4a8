package elvaro.core.label;

import elvaro.core.label.Identifier.Form;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads what a scanner says of a GS1 code into its elements: identifiers, each with its value. GS1 General Specifications, sections
 * 3 and 7.8, from memory.
 */
public final class ElementString {
    /** How scanners write the separator FNC1 within a code: ASCII 29. */
    public static final char SEPARATOR = '\u001d';

    /** What a scanner may say first: that it read Code 128, Data Matrix, QR or DataBar with GS1 data (ISO/IEC 15424). */
    private static final Pattern SYMBOL = Pattern.compile("^\\](?:C1|d2|Q3|e0)");

    private static final Pattern BRACKETED = Pattern.compile("\\((\\d{2,4})\\)([^(]*)");

    /** The 82 signs of ISO/IEC 646 that a text may hold. */
    private static final Pattern TEXT = Pattern.compile("[!\"%-?A-Z_a-z]*");

    /** How long an element is, identifier and value, where its first two digits say so; all others end with a separator. */
    private static final Map<String, Integer> LENGTHS = Map.ofEntries(
            Map.entry("00", 20),
            Map.entry("01", 16),
            Map.entry("02", 16),
            Map.entry("03", 16),
            Map.entry("04", 18),
            Map.entry("11", 8),
            Map.entry("12", 8),
            Map.entry("13", 8),
            Map.entry("14", 8),
            Map.entry("15", 8),
            Map.entry("16", 8),
            Map.entry("17", 8),
            Map.entry("18", 8),
            Map.entry("19", 8),
            Map.entry("20", 4),
            Map.entry("31", 10),
            Map.entry("32", 10),
            Map.entry("33", 10),
            Map.entry("34", 10),
            Map.entry("35", 10),
            Map.entry("36", 10),
            Map.entry("41", 16));

    private ElementString() {}

    /**
     * One value of a label.
     *
     * @param identifier empty for one that is of no use here
     * @param code its digits
     */
    public record Element(Optional<Identifier> identifier, String code, String value) {}

    /**
     * @param scanned as a scanner types it, or as it stands under the bars, with identifiers in brackets
     * @return at least one
     * @throws IllegalArgumentException with a sentence, if it is no such code or a value cannot be
     */
    public static List<Element> read(String scanned) {
        String code = scanned.strip();
        List<Element> elements = code.startsWith("(")
                ? bracketed(code)
                : joined(SYMBOL.matcher(code).replaceFirst(""));
        if (elements.isEmpty()) {
            throw none();
        }
        elements.forEach(ElementString::check);
        return elements;
    }

    private static IllegalArgumentException none() {
        return new IllegalArgumentException("This is no label of a box: it says no article, weight, lot or date.");
    }

    private static List<Element> bracketed(String code) {
        List<Element> elements = new ArrayList<>();
        Matcher each = BRACKETED.matcher(code);
        int end = 0;
        while (each.find() && each.start() == end) {
            elements.add(element(each.group(1), each.group(2).strip()));
            end = each.end();
        }
        if (end != code.length()) {
            throw none();
        }
        return elements;
    }

    private static List<Element> joined(String code) {
        List<Element> elements = new ArrayList<>();
        int at = 0;
        while (at < code.length()) {
            if (code.charAt(at) == SEPARATOR) {
                at++;
                continue;
            }
            int digits = digits(code, at);
            Integer length = LENGTHS.get(code.substring(at, at + 2));
            int separator = code.indexOf(SEPARATOR, at);
            int end = length == null ? separator < 0 ? code.length() : separator : at + length;
            if (end > code.length() || separator >= 0 && separator < end) {
                throw new IllegalArgumentException("The code is cut short: %s needs more digits."
                        .formatted(name(code.substring(at, at + digits))));
            }
            elements.add(element(code.substring(at, at + digits), code.substring(at + digits, end)));
            at = end;
        }
        return elements;
    }

    private static Element element(String code, String value) {
        return new Element(Identifier.of(code), code, value);
    }

    private static String name(String digits) {
        return "(%s)%s"
                .formatted(
                        digits,
                        Identifier.of(digits)
                                .map(each -> ", the " + each.words() + ",")
                                .orElse(""));
    }

    /** How many digits the identifier has that begins here: its first two say it. */
    private static int digits(String code, int at) {
        if (at + 2 > code.length() || !code.substring(at, at + 2).matches("\\d\\d")) {
            throw none();
        }
        int two = Integer.parseInt(code.substring(at, at + 2));
        int digits =
                two >= 31 && two <= 36 || two == 39 || two == 43 || two == 70 || two == 72 || two >= 80 && two <= 82
                        ? 4
                        : two >= 23 && two <= 25 || two >= 40 && two <= 42 || two == 71 ? 3 : 2;
        if (at + digits > code.length() || !code.substring(at, at + digits).matches("\\d+")) {
            throw none();
        }
        return digits;
    }

    private static void check(Element element) {
        if (element.identifier().isEmpty()) {
            return;
        }
        Identifier identifier = element.identifier().get();
        String value = element.value();
        if (value.length() < identifier.least() || value.length() > identifier.most()) {
            throw new IllegalArgumentException("%s has %d signs; it has %s."
                    .formatted(
                            capital(name(element.code())),
                            value.length(),
                            identifier.least() == identifier.most()
                                    ? String.valueOf(identifier.least())
                                    : "%d to %d".formatted(identifier.least(), identifier.most())));
        }
        Pattern form = identifier.form() == Form.TEXT ? TEXT : Pattern.compile("\\d*");
        if (!form.matcher(value).matches()) {
            throw new IllegalArgumentException("%s holds signs that cannot be there.".formatted(name(element.code())));
        }
        if (identifier.form() == Form.CHECKED && !CheckDigit.fits(value)) {
            throw new IllegalArgumentException(
                    "The check digit of %s is wrong. Scan it again; if it stays, type what the label says."
                            .formatted(name(element.code())));
        }
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1);
    }
}
