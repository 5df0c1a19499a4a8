package elvaro.core.past;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.words;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Method;
import elvaro.core.ledger.Stream;
import elvaro.core.past.CellParser.Order;
import elvaro.core.past.CellParser.Unit;
import elvaro.core.past.PastPiece.CompletedPiece;
import elvaro.core.past.PastPiece.Weighing;
import elvaro.core.question.PastDay;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Reads a table of the past: rows of one piece belong together, each may tell of a weighing, any of the rest. A piece that is
 * here already gets the weighings; another must be told to its end, since what still hangs is hung here first. Every cell
 * that cannot be is found, not the first alone.
 */
public final class PastTable {
    /** Of the aged weight; above it the piles must be said to be otherwise. Reference section 1. */
    private static final double UNTOLD_SHARE = 0.03;

    private static final int LONGEST_DAYS = 400;
    private static final int LONGEST_SUPPLIER = 80;
    private static final int LONGEST_GRADE = 60;
    private static final int LEAST_GRAMS = 50;

    /** Sums and means at the foot of a table, in English, German and French. */
    private static final Pattern SUM = Pattern.compile(
            "(?iU)(grand )?(totals?|sums?|average|avg|mean|summe|gesamt\\w*|durchschnitt\\w*|mittelwert|moyenne|totaux|somme|Ø|Σ)\\b.*");

    private final List<List<String>> rows;
    private final ColumnMapping manner;
    private final Map<String, HungBefore> known;
    private final LocalDate today;
    private final List<WrongCell> faults = new ArrayList<>();
    private final List<LeftOut> leftOut = new ArrayList<>();

    /**
     * How the table is meant.
     *
     * @param headRow the row the head stands in, as a spreadsheet counts, from 1
     * @param columns which column holds what, from 0
     * @param cut of pieces whose row does not say, none if it must
     * @param method of pieces whose row does not say
     * @param weighings columns that hold a weighing of each piece, by their heads
     * @param rest what the part of the aged weight was that no pile tells of, none if each gram must be told
     */
    public record ColumnMapping(
            int headRow,
            Map<PastField, Integer> columns,
            Map<Integer, String> weighings,
            Unit unit,
            Order order,
            Optional<Cut> cut,
            Method method,
            Optional<Stream> rest) {}

    /**
     * A piece that is here.
     *
     * @param mostGrams what it can have weighed at most
     */
    public record HungBefore(LocalDate hungOn, Optional<LocalDate> pulledOn, int mostGrams) {}

    /**
     * A cell that cannot be.
     *
     * @param row as a spreadsheet counts
     * @param field of the cell, none where the row as a whole is meant
     */
    public record WrongCell(int row, Optional<PastField> field, String sentence) {}

    /** A row that is no piece's. */
    public record LeftOut(int row, String name) {}

    /** What was read; pieces with a fault are left out. */
    public record Read(List<PastPiece> pieces, List<WrongCell> faults, List<LeftOut> leftOut) {}

    private PastTable(List<List<String>> rows, ColumnMapping manner, Map<String, HungBefore> known, LocalDate today) {
        this.rows = rows;
        this.manner = manner;
        this.known = known;
        this.today = today;
    }

    /**
     * @param rows below the head, all cells as text
     * @param known what is here, by the tag in capitals
     */
    public static Read read(
            List<List<String>> rows, ColumnMapping manner, Map<String, HungBefore> known, LocalDate today) {
        return new PastTable(rows, manner, known, today).read();
    }

    private Read read() {
        Map<String, List<Integer>> byPiece = new LinkedHashMap<>();
        for (int index = 0; index < rows.size(); index++) {
            if (rows.get(index).stream().allMatch(String::isBlank)) {
                continue;
            }
            String name = cell(index, PastField.PIECE);
            Optional<String> sum = sum(index);
            if (sum.isPresent()) {
                leftOut.add(new LeftOut(number(index), sum.get()));
            } else if (name.isEmpty()) {
                fault(index, PastField.PIECE, "Which piece? Each row needs its tag or name.");
            } else {
                byPiece.computeIfAbsent(name.toUpperCase(Locale.ROOT), each -> new ArrayList<>())
                        .add(index);
            }
        }
        List<PastPiece> pieces = new ArrayList<>();
        byPiece.forEach((tag, of) -> {
            int before = faults.size();
            PastPiece piece = piece(tag, cell(of.get(0), PastField.PIECE), of);
            if (faults.size() == before) {
                pieces.add(piece);
            }
        });
        faults.sort(Comparator.comparingInt(WrongCell::row));
        return new Read(pieces, faults, leftOut);
    }

    /** What a row calls itself that sums others up: it is no piece. */
    private Optional<String> sum(int index) {
        return rows.get(index).stream()
                .map(String::strip)
                .filter(cell -> !cell.isEmpty())
                .findFirst()
                .filter(cell -> SUM.matcher(cell).matches());
    }

    private PastPiece piece(String tag, String name, List<Integer> of) {
        List<Weighing> weighings = new ArrayList<>();
        for (int index : of) {
            weighing(index).ifPresent(weighings::add);
        }
        HungBefore here = known.get(tag);
        Optional<LocalDate> hungOn =
                Optional.ofNullable(here).map(HungBefore::hungOn).or(() -> saidToHang(of));
        for (int index : of) {
            manner.weighings()
                    .forEach((column, head) ->
                            beside(index, column, head, hungOn).ifPresent(weighings::add));
        }
        weighings.sort(Comparator.comparing(Weighing::day));
        int row = number(of.get(0));
        if (here != null) {
            weighings.forEach(each -> check(each, here.hungOn(), here.pulledOn().orElse(today), here.mostGrams()));
            if (weighings.isEmpty()) {
                fault(
                        of.get(0),
                        PastField.WEIGHT,
                        "%s is here already, and no weighing of it stands there.".formatted(name));
            }
            return new PastPiece(name, row, weighings, Optional.empty());
        }
        return new PastPiece(name, row, weighings, told(of, weighings));
    }

    private Optional<Weighing> weighing(int index) {
        if (cell(index, PastField.WEIGHT).isEmpty()) {
            return Optional.empty();
        }
        int before = faults.size();
        LocalDate day = day(index, PastField.DAY);
        Integer grams = grams(index, PastField.WEIGHT);
        if (day == null && faults.size() == before) {
            fault(index, PastField.DAY, "When was it weighed?");
        }
        return day == null || grams == null ? Optional.empty() : Optional.of(new Weighing(day, grams, number(index)));
    }

    /** The first day of these rows on which it was hung, if one can be read; that it cannot is said elsewhere. */
    private Optional<LocalDate> saidToHang(List<Integer> of) {
        return of.stream()
                .map(index -> cell(index, PastField.HUNG_ON))
                .filter(text -> !text.isEmpty())
                .findFirst()
                .flatMap(text -> {
                    try {
                        return Optional.of(CellParser.day(text, manner.order()));
                    } catch (IllegalArgumentException none) {
                        return Optional.empty();
                    }
                });
    }

    /** A weighing in a column of its own. */
    private Optional<Weighing> beside(int index, int column, String head, Optional<LocalDate> hungOn) {
        List<String> row = rows.get(index);
        String text = column < row.size() ? row.get(column).strip() : "";
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Optional<LocalDate> day = WeighingHead.of(head, manner.order()).flatMap(weighed -> weighed.on(hungOn));
        if (day.isEmpty()) {
            fault(index, PastField.WEIGHT, "“%s” says no day: when was it weighed?".formatted(words(head)));
            return Optional.empty();
        }
        try {
            return Optional.of(new Weighing(past(day.get()), CellParser.grams(text, manner.unit()), number(index)));
        } catch (IllegalArgumentException wrong) {
            fault(index, PastField.WEIGHT, String.valueOf(wrong.getMessage()));
            return Optional.empty();
        }
    }

    private LocalDate past(LocalDate day) {
        if (new PastDay(day, today).isTooLongAgo()) {
            throw new IllegalArgumentException(PastDay.TOO_LONG_AGO);
        }
        if (day.isAfter(today)) {
            throw new IllegalArgumentException("%s is still to come.".formatted(day));
        }
        return day;
    }

    private void check(Weighing weighing, LocalDate first, LocalDate last, int mostGrams) {
        int index = weighing.row() - manner.headRow() - 1;
        if (weighing.day().isBefore(first) || weighing.day().isAfter(last)) {
            fault(index, PastField.DAY, "It hung from %s to %s.".formatted(first, last));
        }
        if (weighing.grams() > mostGrams) {
            fault(
                    index,
                    PastField.WEIGHT,
                    "It weighed %s when it was hung, and cannot weigh more.".formatted(mass(mostGrams)));
        }
    }

    private Optional<CompletedPiece> told(List<Integer> of, List<Weighing> weighings) {
        int first = of.get(0);
        int before = faults.size();
        Cut cut = cut(of);
        Method method = method(of);
        LocalDate hungOn = only(of, PastField.HUNG_ON, this::day)
                .or(() -> weighings.stream().findFirst().map(Weighing::day))
                .orElse(null);
        Integer green = only(of, PastField.GREEN, this::grams)
                .or(() -> weighings.stream().findFirst().map(Weighing::grams))
                .orElse(null);
        LocalDate pulledOn = only(of, PastField.PULLED_ON, this::day).orElse(null);
        Integer aged = only(of, PastField.AGED, this::grams).orElse(null);
        int price = only(of, PastField.PRICE, this::price).orElse(0);
        Map<Stream, Integer> piles = new EnumMap<>(Stream.class);
        for (Stream stream : Stream.values()) {
            only(of, PastField.of(stream), this::grams).ifPresent(grams -> piles.put(stream, grams));
        }
        if (faults.size() == before) {
            mustBeThere(first, hungOn, green, pulledOn, aged, piles.get(Stream.STEAK));
        }
        String supplier = text(of, PastField.SUPPLIER, LONGEST_SUPPLIER);
        String grade = text(of, PastField.GRADE, LONGEST_GRADE);
        if (green != null && green < LEAST_GRAMS) {
            fault(first, PastField.GREEN, "A piece weighs at least %s.".formatted(mass(LEAST_GRAMS)));
        }
        if (faults.size() > before || cut == null) {
            return Optional.empty();
        }
        return Optional.of(whole(
                first,
                weighings,
                new CompletedPiece(cut, supplier, grade, price, method, hungOn, green, pulledOn, aged, piles)));
    }

    private void mustBeThere(
            int first,
            @Nullable LocalDate hungOn,
            @Nullable Integer green,
            @Nullable LocalDate pulledOn,
            @Nullable Integer aged,
            @Nullable Integer steak) {
        if (hungOn == null) {
            fault(first, PastField.HUNG_ON, "When was it hung?");
        }
        if (green == null) {
            fault(first, PastField.GREEN, "What did it weigh when it was hung?");
        }
        if (pulledOn == null || aged == null || steak == null) {
            fault(
                    first,
                    pulledOn == null ? PastField.PULLED_ON : aged == null ? PastField.AGED : PastField.STEAK,
                    "A piece that is not here needs its pull, its aged weight and its steaks. One that still hangs is hung here"
                            + " first; its weighings then come by its tag.");
        }
    }

    /** Whether what is told of a piece goes together. */
    private CompletedPiece whole(int first, List<Weighing> weighings, CompletedPiece told) {
        if (!told.pulledOn().isAfter(told.hungOn())
                || told.pulledOn().isAfter(told.hungOn().plusDays(LONGEST_DAYS))) {
            fault(first, PastField.PULLED_ON, "It is pulled 1 to %d days after it was hung.".formatted(LONGEST_DAYS));
        }
        if (told.agedGrams() > told.greenGrams()) {
            fault(
                    first,
                    PastField.AGED,
                    "It cannot weigh more than the %s it was hung with.".formatted(mass(told.greenGrams())));
        }
        weighings.forEach(each -> check(each, told.hungOn(), told.pulledOn(), told.greenGrams()));
        int piles = told.piles().values().stream().mapToInt(Integer::intValue).sum();
        int untold = told.agedGrams() - piles;
        if (untold > 0 && manner.rest().isPresent()) {
            told.piles().merge(manner.rest().get(), untold, Integer::sum);
        } else if (Math.abs(untold) > UNTOLD_SHARE * told.agedGrams()) {
            fault(
                    first,
                    PastField.STEAK,
                    untold > 0
                            ? "%s of the aged weight is on no pile. Say what the rest was.".formatted(mass(untold))
                            : "The piles weigh %s more than the piece did.".formatted(mass(-untold)));
        }
        return told;
    }

    private @Nullable Cut cut(List<Integer> of) {
        String written = text(of, PastField.CUT);
        Optional<Cut> cut = written.isEmpty()
                ? manner.cut()
                : CutCatalogue.all().stream()
                        .filter(each -> each.code().equalsIgnoreCase(written)
                                || each.name().equalsIgnoreCase(written)
                                || List.of(each.otherNames()
                                                .toLowerCase(Locale.ROOT)
                                                .split(", "))
                                        .contains(written.toLowerCase(Locale.ROOT)))
                        .findFirst();
        if (cut.isEmpty()) {
            fault(
                    of.get(0),
                    PastField.CUT,
                    written.isEmpty() ? "Which cut?" : "“%s” is no cut that is known here.".formatted(written));
        }
        return cut.orElse(null);
    }

    private Method method(List<Integer> of) {
        String written = text(of, PastField.METHOD);
        for (Method method : Method.values()) {
            if (written.equalsIgnoreCase(method.label()) || written.equalsIgnoreCase(method.name())) {
                return method;
            }
        }
        if (!written.isEmpty()) {
            fault(of.get(0), PastField.METHOD, "“%s” is no method that is known here.".formatted(written));
        }
        return manner.method();
    }

    private interface CellReader<T> {
        @Nullable
        T read(int index, PastField field);
    }

    /** What the rows of one piece say, the same wherever they say it. */
    private <T> Optional<T> only(List<Integer> of, PastField field, CellReader<T> reading) {
        T said = null;
        for (int index : of) {
            T here = cell(index, field).isEmpty() ? null : reading.read(index, field);
            if (here != null && said != null && !here.equals(said)) {
                fault(index, field, "Another row of the same piece says otherwise.");
            }
            said = said == null ? here : said;
        }
        return Optional.ofNullable(said);
    }

    private String text(List<Integer> of, PastField field) {
        return only(of, field, this::cell).orElse("");
    }

    private String text(List<Integer> of, PastField field, int longest) {
        String text = text(of, field);
        if (text.length() > longest) {
            fault(of.get(0), field, "It is longer than %d characters.".formatted(longest));
        }
        return text;
    }

    private String cell(int index, PastField field) {
        Integer column = manner.columns().get(field);
        List<String> row = rows.get(index);
        return column == null || column < 0 || column >= row.size()
                ? ""
                : row.get(column).strip();
    }

    private @Nullable Integer grams(int index, PastField field) {
        return understood(index, field, text -> CellParser.grams(text, manner.unit()));
    }

    private @Nullable Integer price(int index, PastField field) {
        return understood(index, field, CellParser::minor);
    }

    private @Nullable LocalDate day(int index, PastField field) {
        return understood(index, field, text -> past(CellParser.day(text, manner.order())));
    }

    private interface Understanding<T> {
        T of(String text);
    }

    private <T> @Nullable T understood(int index, PastField field, Understanding<T> understanding) {
        String text = cell(index, field);
        if (text.isEmpty()) {
            return null;
        }
        try {
            return understanding.of(text);
        } catch (IllegalArgumentException wrong) {
            fault(index, field, String.valueOf(wrong.getMessage()));
            return null;
        }
    }

    private void fault(int index, PastField field, String sentence) {
        faults.add(new WrongCell(number(index), Optional.of(field), sentence));
    }

    private int number(int index) {
        return index + manner.headRow() + 1;
    }
}
