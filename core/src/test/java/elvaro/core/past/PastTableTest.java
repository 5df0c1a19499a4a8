package elvaro.core.past;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Method;
import elvaro.core.ledger.Stream;
import elvaro.core.past.CellParser.Order;
import elvaro.core.past.CellParser.Unit;
import elvaro.core.past.PastTable.ColumnMapping;
import elvaro.core.past.PastTable.HungBefore;
import elvaro.core.past.PastTable.Read;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PastTableTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 1);
    private static final List<String> HEADS = List.of(
            "Tag",
            "Cut",
            "Hung on",
            "Green weight",
            "Date",
            "Weight (kg)",
            "Pulled on",
            "Final weight",
            "Steaks",
            "Trim");

    private static Read read(Optional<Stream> rest, String... lines) {
        return read(
                new ColumnMapping(
                        1,
                        PastField.guess(HEADS),
                        Map.of(),
                        Unit.KILOGRAM,
                        Order.DAY_FIRST,
                        Optional.of(CutCatalogue.get("strip")),
                        Method.OPEN_AIR,
                        rest),
                lines);
    }

    /** In a house where 12A hangs since the first of February. */
    private static Read read(ColumnMapping manner, String... lines) {
        HungBefore here = new HungBefore(LocalDate.of(2026, 2, 1), Optional.empty(), 5000);
        return PastTable.read(
                java.util.Arrays.stream(lines)
                        .map(line -> List.of(line.split(";", -1)))
                        .toList(),
                manner,
                Map.of("12A", here),
                TODAY);
    }

    @Test
    void columns_are_told_by_their_heads() {
        assertThat(PastField.guess(HEADS))
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        PastField.PIECE, 0,
                        PastField.CUT, 1,
                        PastField.HUNG_ON, 2,
                        PastField.GREEN, 3,
                        PastField.DAY, 4,
                        PastField.WEIGHT, 5,
                        PastField.PULLED_ON, 6,
                        PastField.AGED, 7,
                        PastField.STEAK, 8,
                        PastField.USABLE_TRIM, 9));
    }

    @Test
    void rows_of_one_piece_make_one_story() {
        Read read = read(
                Optional.of(Stream.DISCARD),
                "old;Strip loin;1.1.2026;5;;;1.2.2026;4,4;3;0,9",
                ";;;;;;;;;",
                "old;;;;8.1.;4,9;;;;",
                "old;;;;15.1.2026;4,7;;;;");
        assertThat(read.faults()).extracting(PastTable.WrongCell::row).containsExactly(4);
        read = read(
                Optional.of(Stream.DISCARD),
                "old;Strip loin;1.1.2026;5;;;1.2.2026;4,4;3;0,9",
                "old;;;;15.1.2026;4,7;;;;",
                "old;;;;8.1.2026;4900 g;;;;");
        assertThat(read.faults()).isEmpty();
        PastPiece piece = read.pieces().get(0);
        assertThat(piece.weighings()).extracting(PastPiece.Weighing::grams).containsExactly(4900, 4700);
        assertThat(piece.story().orElseThrow().piles())
                .as("3 kg of steak and 0.9 kg of trim of 4.4 kg leave 0.5 kg")
                .containsExactlyInAnyOrderEntriesOf(
                        Map.of(Stream.STEAK, 3000, Stream.USABLE_TRIM, 900, Stream.DISCARD, 500));
    }

    @Test
    void a_piece_that_is_here_gets_its_weighings_and_nothing_else() {
        Read read = read(Optional.empty(), "12a;;;;2.2.2026;4,95;;;;", "12A;;;;9.2.2026;4,8;;;;");
        assertThat(read.faults()).isEmpty();
        assertThat(read.pieces()).singleElement().matches(piece -> piece.story().isEmpty());
    }

    @Test
    void every_cell_that_cannot_be_is_found() {
        Read read = read(
                Optional.empty(),
                ";;;;2.2.2026;4,9;;;;", // 2: no piece
                "12A;;;;31.1.2026;4,9;;;;", // 3: before it hung
                "12A;;;;2.2.2026;5,1;;;;", // 4: more than it weighed
                "12A;;;;2.4.2026;4,9;;;;", // 5: to come
                "new;Wagon;1.1.2026;5;;;1.2.2026;4;3;", // 6: no such cut
                "gap;;1.1.2026;5;;;1.2.2026;4;3;0,5", // 7: half a kilogram untold
                "fat;;1.1.2026;5;;;1.2.2026;5,2;5,2;", // 8: gained weight
                "back;;1.2.2026;5;;;1.1.2026;4;4;", // 9: pulled before it hung
                "still;;1.1.2026;5;;;;;;", // 10: not told to its end
                "two;;1.1.2026;5;;;1.2.2026;4;4;",
                "two;;2.1.2026;;;;;;;"); // 12: says otherwise
        assertThat(read.pieces()).isEmpty();
        assertThat(read.faults().stream()
                        .map(fault -> fault.row() + " " + fault.field().orElseThrow()))
                .containsExactly(
                        "2 PIECE",
                        "3 DAY",
                        "4 WEIGHT",
                        "5 DAY",
                        "6 CUT",
                        "7 STEAK",
                        "8 AGED",
                        "9 PULLED_ON",
                        "10 PULLED_ON",
                        "12 HUNG_ON");
    }

    @Test
    void what_a_lot_cannot_hold_is_said_of_its_cell() {
        List<String> heads =
                List.of("Tag", "Hung on", "Green weight", "Pulled on", "Final weight", "Steaks", "Supplier");
        ColumnMapping manner = new ColumnMapping(
                7,
                PastField.guess(heads),
                Map.of(),
                Unit.GRAM,
                Order.DAY_FIRST,
                Optional.of(CutCatalogue.get("strip")),
                Method.OPEN_AIR,
                Optional.of(Stream.DISCARD));
        Read read = PastTable.read(
                List.of(
                        List.of("small", "1.1.2026", "40", "1.2.2026", "35", "30", ""),
                        List.of("wordy", "1.1.2026", "4000", "1.2.2026", "3500", "3000", "x".repeat(81)),
                        List.of("fine", "1.1.2026", "4000", "1.2.2026", "3500", "3000", "x".repeat(80))),
                manner,
                Map.of(),
                TODAY);
        assertThat(read.pieces()).singleElement().matches(piece -> piece.row() == 10);
        assertThat(read.faults().stream()
                        .map(fault -> fault.row() + " " + fault.field().orElseThrow()))
                .as("the head stands in row 7")
                .containsExactly("8 GREEN", "9 SUPPLIER");
    }

    @Test
    void heads_are_known_in_german_and_french() {
        assertThat(PastField.guess(
                        List.of("Stück", "Aufgehängt am", "Frischgewicht", "Datum", "Gewicht", "Endgewicht", "Abfall")))
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        PastField.PIECE, 0,
                        PastField.HUNG_ON, 1,
                        PastField.GREEN, 2,
                        PastField.DAY, 3,
                        PastField.WEIGHT, 4,
                        PastField.AGED, 5,
                        PastField.DISCARD, 6));
        assertThat(PastField.guess(
                        List.of("Pièce", "Début", "Poids frais", "Jour", "Poids", "Sortie", "Parures", "Déchets")))
                .containsExactlyInAnyOrderEntriesOf(Map.of(
                        PastField.PIECE, 0,
                        PastField.HUNG_ON, 1,
                        PastField.GREEN, 2,
                        PastField.DAY, 3,
                        PastField.WEIGHT, 4,
                        PastField.PULLED_ON, 5,
                        PastField.USABLE_TRIM, 6,
                        PastField.DISCARD, 7));
    }

    private static Read wide(Map<Integer, String> weighings, String... lines) {
        return read(
                new ColumnMapping(
                        1,
                        Map.of(PastField.PIECE, 0, PastField.HUNG_ON, 1),
                        weighings,
                        Unit.KILOGRAM,
                        Order.DAY_FIRST,
                        Optional.empty(),
                        Method.OPEN_AIR,
                        Optional.empty()),
                lines);
    }

    @Test
    void a_column_for_each_weighing_is_read_by_the_day_or_the_week_of_its_head() {
        Read read = wide(Map.of(2, "8.2.2026", 3, "Tag 14", 4, "week 3"), "12A;;4,9;4,8;4,7", "Summe;;4,9;4,8;4,7");
        assertThat(read.faults()).isEmpty();
        assertThat(read.pieces().get(0).weighings())
                .extracting(weighing -> weighing.day() + " " + weighing.grams())
                .containsExactly("2026-02-08 4900", "2026-02-15 4800", "2026-02-22 4700");
        assertThat(read.leftOut()).containsExactly(new PastTable.LeftOut(3, "Summe"));
    }

    @Test
    void a_weighing_in_a_column_of_its_own_that_cannot_be_is_named() {
        Read read = wide(Map.of(2, "8.2.2026", 3, "remarks"), "12A;;heavy;4,8");
        assertThat(read.faults())
                .extracting(PastTable.WrongCell::sentence)
                .contains("“remarks” says no day: when was it weighed?", "“heavy” is no weight.");
    }
}
