package elvaro.core.label;

import elvaro.core.label.ElementString.Element;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** What the label of a box says, from one code or several. */
public final class BoxLabel {
    /** International pound of 1959, g. */
    private static final BigDecimal POUND = new BigDecimal("453.59237");

    private static final BigDecimal KILOGRAM = new BigDecimal(1000);

    private final Map<Identifier, Element> elements;
    private final LocalDate today;

    private BoxLabel(Map<Identifier, Element> elements, LocalDate today) {
        this.elements = elements;
        this.today = today;
    }

    /**
     * @param scanned see {@link ElementString#read}
     * @param today by which the century of a year of two digits is told
     * @throws IllegalArgumentException with a sentence, if it is no such code, says two things of one kind, or a value cannot be
     */
    public static BoxLabel read(String scanned, LocalDate today) {
        Map<Identifier, Element> elements = new EnumMap<>(Identifier.class);
        for (Element element : ElementString.read(scanned)) {
            if (element.identifier().isPresent()) {
                Element before = elements.putIfAbsent(element.identifier().get(), element);
                if (before != null && !before.equals(element)) {
                    throw new IllegalArgumentException("The code says two things of its %s: %s and %s."
                            .formatted(element.identifier().get().words(), before.value(), element.value()));
                }
            }
        }
        if (elements.isEmpty()) {
            throw new IllegalArgumentException("This label says nothing that is of use here.");
        }
        BoxLabel label = new BoxLabel(elements, today);
        for (Identifier day : List.of(
                Identifier.PRODUCED,
                Identifier.PACKED,
                Identifier.BEST_BEFORE,
                Identifier.SELL_BY,
                Identifier.USE_BY)) {
            label.day(day); // or what is wrong with it
        }
        return label;
    }

    /** Whether the other code may stand on the same box: nothing in it is said otherwise, and it says something more. */
    boolean maySay(BoxLabel other) {
        boolean more = false;
        for (Map.Entry<Identifier, Element> each : other.elements.entrySet()) {
            Element here = elements.get(each.getKey());
            if (here != null && !here.equals(each.getValue())) {
                return false;
            }
            more |= here == null;
        }
        return more;
    }

    /** Both codes of one box. */
    BoxLabel and(BoxLabel other) {
        Map<Identifier, Element> both = new EnumMap<>(elements);
        both.putAll(other.elements);
        return new BoxLabel(both, today);
    }

    /** Whether it is known to be one box and no other. */
    boolean isOneBox() {
        return elements.containsKey(Identifier.SSCC) || elements.containsKey(Identifier.SERIAL);
    }

    /** Whether the other is of this box: a serial is given once for an article, and may be given again for another. */
    boolean isSameBox(BoxLabel other) {
        boolean otherArticle = article().isPresent()
                && other.article().isPresent()
                && !article().equals(other.article());
        return !otherArticle && serial().isPresent() && serial().equals(other.serial());
    }

    private Optional<String> value(Identifier identifier) {
        return Optional.ofNullable(elements.get(identifier)).map(Element::value);
    }

    /** By which the seller's article is known again: its number, or what the seller calls it. */
    public Optional<String> article() {
        return value(Identifier.GTIN)
                .or(() -> value(Identifier.GTIN_INSIDE))
                .or(() -> value(Identifier.SELLERS_ARTICLE));
    }

    /** Net weight, to the gram. */
    public Optional<Integer> grams() {
        return weight(Identifier.NET_KILOGRAMS, KILOGRAM).or(() -> weight(Identifier.NET_POUNDS, POUND));
    }

    private Optional<Integer> weight(Identifier identifier, BigDecimal unit) {
        return Optional.ofNullable(elements.get(identifier)).map(element -> {
            int decimals = element.code().charAt(element.code().length() - 1) - '0';
            return new BigDecimal(element.value())
                    .movePointLeft(decimals)
                    .multiply(unit)
                    .setScale(0, RoundingMode.HALF_UP)
                    .intValueExact();
        });
    }

    public Optional<String> lot() {
        return value(Identifier.LOT);
    }

    public Optional<String> serial() {
        return value(Identifier.SERIAL).or(() -> value(Identifier.SSCC));
    }

    /** When it was packed, or produced where that is all it says. */
    public Optional<LocalDate> packed() {
        return day(Identifier.PACKED).or(() -> day(Identifier.PRODUCED));
    }

    /** The last day it says, to be used or at its best. */
    public Optional<LocalDate> useBy() {
        return day(Identifier.USE_BY).or(() -> day(Identifier.BEST_BEFORE)).or(() -> day(Identifier.SELL_BY));
    }

    /** A year of two digits is the one within fifty years; the day 00 is the last of the month. */
    private Optional<LocalDate> day(Identifier identifier) {
        return value(identifier).map(digits -> {
            int year = today.getYear() / 100 * 100 + Integer.parseInt(digits.substring(0, 2));
            int apart = year - today.getYear();
            year += apart > 50 ? -100 : apart <= -50 ? 100 : 0;
            try {
                YearMonth month = YearMonth.of(year, Integer.parseInt(digits.substring(2, 4)));
                int day = Integer.parseInt(digits.substring(4));
                return day == 0 ? month.atEndOfMonth() : month.atDay(day);
            } catch (DateTimeException impossible) {
                throw new IllegalArgumentException(
                        "There is no day %s, which the code gives as its %s.".formatted(digits, identifier.words()));
            }
        });
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof BoxLabel label && elements.equals(label.elements);
    }

    @Override
    public int hashCode() {
        return Objects.hashCode(elements);
    }
}
