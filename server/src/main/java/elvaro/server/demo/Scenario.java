package elvaro.server.demo;

import elvaro.core.air.Air;
import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.server.piece.PieceRole;
import elvaro.server.settings.PriceStep;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.UUID;

/**
 * The invented farm butchery Brackenrow, as data: people, chambers, and what was bought and hung over fourteen months.
 * The one place the demo is told; weights are worked out from it by {@link Story}.
 */
final class Scenario {
    static final String NAME = "Brackenrow";

    /** Name, sign-in name. The first owns the workshop. */
    static final List<Person> PEOPLE = List.of(
            new Person("Maren Oakes", "maren@brackenrow.example"),
            new Person("Idris Vale", "idris@brackenrow.example"),
            new Person("Pilar Quill", "pilar@brackenrow.example"));

    /** What steaks sell for by their days. */
    static final List<PriceStep> PRICES = List.of(
            new PriceStep(14, 5200),
            new PriceStep(21, 5900),
            new PriceStep(28, 6800),
            new PriceStep(45, 7900),
            new PriceStep(60, 8900));

    static final List<Room> ROOMS = List.of(
            new Room("N", "North Room", ChamberKind.WALK_IN, 2, 12, 180_000, 2, 80, 75, 0.5, 480_000, 20, 160, 1),
            new Room("S", "Stone Locker", ChamberKind.CABINET, 2, 5, 45_000, 1.5, 82, 83, 0.6, 180_000, 12, 70, 1),
            new Room("P", "Pantry fridge", ChamberKind.REFRIGERATOR, 2, 4, 30_000, 3, 65, 59, 0.1, 45_000, 12, 30, 2),
            new Room("G", "Game larder", ChamberKind.SHED, 1, 6, 60_000, 3.5, 75, 80, 0.3, 60_000, 15, 60, 0),
            new Room("L", "Long chest", ChamberKind.ICE_CHEST, 1, 4, 40_000, 0, 98, 98, 0.1, 22_000, 8, 0, 0));

    /**
     * What was bought. Days ago | cut | grade | bone | fat mm | g | price per kg | supplier | °C on arrival, then pieces
     * parted by ";": role, method, chamber, target days, state, further words. A share of the lot goes to each.
     * Further words: coat=g (weight put on) and what it is (syrup, cloth, paste, salt), leak (open seal from the second
     * week on), stalled (damp, still air from then on), spoiled, "text" (a note).
     */
    private static final String LOTS = """
            412 | strip | young steer | no | 5 | 8215 | 2150 | Hollin Farm | 2.1 | PLAIN OPEN_AIR N 28 CUT ; PLAIN OPEN_AIR N 28 CUT
            398 | export-rib | young steer | yes | 6 | 11480 | 2390 | Hollin Farm | 1.8 | CONTROL OPEN_AIR N 38 CUT ; TREATED OPEN_AIR N 38 CUT coat=70 syrup "Brushed on, it ran off the fat side." ; TREATED OPEN_AIR N 38 CUT coat=70 syrup ; CONTROL OPEN_AIR N 38 CUT ; CONTROL OPEN_AIR N 38 CUT ; TREATED OPEN_AIR N 38 CUT coat=65 syrup ; FRESH
            371 | ribeye | young steer | no | 4 | 7040 | 2580 | Hollin Farm | 2.4 | TREATED OPEN_AIR N 26 CUT coat=35 paste ; CONTROL OPEN_AIR N 26 CUT ; CONTROL OPEN_AIR N 26 CUT ; TREATED OPEN_AIR N 26 CUT coat=35 paste
            352 | deer-haunch | fallow, second year | yes | 0 | 9120 | 1180 | Sallow Estate | 3.2 | CONTROL OPEN_AIR G 10 CUT "Fallow haunch: skin on against skinned, 10 days. Skinned." ; TREATED OPEN_AIR G 10 CUT "Skin left on; taken off at the bench."
            340 | strip-bone-in | young steer | yes | 5 | 9640 | 1990 | Hollin Farm | 2.0 | CONTROL OPEN_AIR N 33 CUT "The plain half." ; TREATED OPEN_AIR N 33 CUT coat=340 cloth "Cloth soaked in stout, wrung out, renewed on day 12."
            318 | lamb-saddle | mutton, four years | yes | 4 | 7420 | 1320 | Hollin Farm | 2.6 | CONTROL OPEN_AIR S 29 CUT ; TREATED OPEN_AIR S 29 CUT ; TREATED OPEN_AIR S 29 CUT ; CONTROL OPEN_AIR S 29 CUT
            300 | lamb-saddle | mutton, five years | yes | 5 | 6860 | 1320 | Hollin Farm | 2.2 | CONTROL OPEN_AIR S 24 CUT "The bare half." ; TREATED FAT_SEAL S 24 CUT coat=620 "Goose fat, melted and brushed on in three coats."
            280 | rib-bone-in | young steer | yes | 7 | 12860 | 2180 | Hollin Farm | 1.9 | PLAIN OPEN_AIR N 40 CUT "Its twin hangs in the Stone Locker." ; PLAIN OPEN_AIR S 40 CUT "The twin in the Stone Locker."
            262 | strip | old cow, nine years | no | 8 | 7930 | 2760 | Hollin Farm | 2.3 | PLAIN OPEN_AIR N 40 CUT "Beside the young steer."
            262 | strip | young steer | no | 4 | 7410 | 2150 | Hollin Farm | 2.3 | PLAIN OPEN_AIR N 40 CUT "The young steer beside the old cow."
            240 | goose | wild | yes | 0 | 3390 | 900 | Marsh Decoy | 3.0 | CONTROL OPEN_AIR G 8 CUT "The plain bird."
            240 | goose | wild | yes | 0 | 3610 | 900 | Marsh Decoy | 3.0 | TREATED OPEN_AIR G 8 CUT coat=60 salt "Kelp salt, 15 g a kilogram, rubbed in under the wings too."
            225 | ribeye | young steer | no | 4 | 6120 | 2580 | Hollin Farm | 1.7 | PLAIN MEMBRANE P 35 CUT ; PLAIN MEMBRANE P 35 CUT leak "Seal open at one corner since the second week; resealed, then left."
            205 | top-sirloin | young steer | no | 3 | 5240 | 1760 | Hollin Farm | 2.5 | PLAIN SALT_TRAY P 28 CUT ; PLAIN OPEN_AIR N 28 CUT
            190 | short-loin | young steer | yes | 6 | 13020 | 2290 | Hollin Farm | 1.6 | PLAIN OPEN_AIR N 45 CUT ; PLAIN OPEN_AIR N 45 CUT
            170 | chuck-roll | young steer | no | 2 | 8440 | 1240 | Hollin Farm | 2.9 | PLAIN OPEN_AIR N 21 CUT ; PLAIN OPEN_AIR N 21 CUT
            150 | deer-saddle | roe, two years | yes | 0 | 6210 | 1890 | Sallow Estate | 3.4 | PLAIN OPEN_AIR G 12 CUT
            131 | strip | heifer | no | 5 | 8030 | 2240 | Hollin Farm | 2.2 | PLAIN OPEN_AIR N 28 CUT ; PLAIN OPEN_AIR N 28 CUT ; PLAIN VACUUM P 28 CUT
            118 | pork-loin-bone-in | slow-grown | yes | 11 | 7620 | 980 | Hollin Farm | 2.7 | PLAIN OPEN_AIR S 18 CUT ; PLAIN OPEN_AIR S 18 CUT
            100 | ribeye | heifer | no | 4 | 6640 | 2650 | Hollin Farm | 2.4 | CONTROL OPEN_AIR N 35 CUT ; TREATED FAT_SEAL N 35 CUT coat=560 spoiled "Suet seal. Sour smell from a pocket under the fat at the pull; all of it discarded, nobody tasted."
            84 | export-rib | heifer | yes | 6 | 12210 | 2440 | Hollin Farm | 1.9 | PLAIN OPEN_AIR N 45 CUT ; PLAIN OPEN_AIR N 45 CUT ; FRESH
            75 | inside-round | old cow, eleven years | no | 2 | 6020 | 1390 | Hollin Farm | 2.8 | PLAIN OPEN_AIR S 35 HANGING
            60 | short-loin | young steer | yes | 7 | 12440 | 2290 | Hollin Farm | 1.8 | PLAIN OPEN_AIR N 60 HANGING ; PLAIN OPEN_AIR N 75 HANGING
            47 | rib-bone-in | heifer | yes | 8 | 13420 | 2210 | Hollin Farm | 2.0 | PLAIN OPEN_AIR N 45 HANGING ; PLAIN OPEN_AIR N 60 HANGING stalled "Moved behind the door on day 12; hardly any air there."
            40 | strip | young steer | no | 5 | 8390 | 2180 | Hollin Farm | 2.1 | CONTROL OPEN_AIR N 38 PULLED "The plain half." ; TREATED OPEN_AIR N 38 PULLED coat=95 syrup
            33 | ribeye | heifer | no | 4 | 6780 | 2650 | Hollin Farm | 1.9 | PLAIN MEMBRANE P 35 HANGING ; PLAIN MEMBRANE P 35 HANGING leak "The film looks loose at the thick end."
            28 | strip | young steer | no | 5 | 7790 | 2180 | Hollin Farm | 2.2 | PLAIN OPEN_AIR N 28 HANGING ; PLAIN OPEN_AIR N 35 HANGING
            26 | lamb-saddle | mutton, four years | yes | 4 | 7030 | 1340 | Hollin Farm | 2.4 | CONTROL OPEN_AIR S 28 HANGING ; TREATED OPEN_AIR S 28 HANGING "Beech smoke, four sessions of ten minutes."
            21 | top-sirloin | young steer | no | 3 | 5610 | 1780 | Hollin Farm | 2.6 | PLAIN SALT_TRAY P 28 HANGING
            16 | export-rib | young steer | yes | 6 | 11910 | 2440 | Hollin Farm | 1.7 | PLAIN OPEN_AIR N 45 HANGING ; PLAIN OPEN_AIR N 45 HANGING ; PLAIN OPEN_AIR N 60 HANGING
            12 | strip-bone-in | old cow, eight years | yes | 7 | 10220 | 2480 | Hollin Farm | 2.0 | PLAIN OPEN_AIR S 40 HANGING ; PLAIN OPEN_AIR S 40 HANGING
            9 | deer-haunch | fallow, third year | yes | 0 | 8640 | 1210 | Sallow Estate | 3.6 | PLAIN OPEN_AIR G 10 HANGING ; PLAIN ON_ICE L 10 HANGING
            6 | goose | wild | yes | 0 | 3480 | 920 | Marsh Decoy | 3.1 | PLAIN OPEN_AIR G 8 HANGING
            5 | duck | wild | yes | 0 | 1130 | 760 | Marsh Decoy | 2.9 | PLAIN OPEN_AIR G 7 HANGING
            3 | chuck-roll | heifer | no | 2 | 9050 | 1260 | Hollin Farm | 2.3 | CONTROL OPEN_AIR N 28 HANGING ; TREATED OPEN_AIR N 28 HANGING coat=230 cloth
            1 | tri-tip | heifer | no | 2 | 1390 | 1690 | Hollin Farm | 2.5 | PLAIN OPEN_AIR S 21 HANGING
            0 | strip | young steer | no | 5 | 8120 | 2180 | Hollin Farm | 2.2 |
            """;

    /** Purchases that are planned. */
    static final List<Wish> WISHES = List.of(
            new Wish("Harvest supper", "ribeye", 2, 5200, "N", 2, 28),
            new Wish("Midwinter table", "strip", 3, 6400, "N", 16, 40));

    /** A planned purchase: pieces of a weight, hung in so many days for so many. */
    record Wish(String name, String cut, int pieces, int grams, String room, int inDays, int days) {}

    private Scenario() {}

    /** An id from the seeded generator, of a version the database takes. */
    static UUID id(Random random) {
        byte[] bytes = new byte[16];
        random.nextBytes(bytes);
        return UUID.nameUUIDFromBytes(bytes);
    }

    record Person(String name, String signInName) {}

    /**
     * A chamber as real ones are.
     *
     * @param humidityPercent what it is set to
     * @param runsPercent what it runs at
     */
    record Room(
            String key,
            String name,
            ChamberKind kind,
            int rails,
            int places,
            int limitGrams,
            double celsius,
            int humidityPercent,
            int runsPercent,
            double metresPerSecond,
            int purchaseMinor,
            int lifeYears,
            int watts,
            int keeper) {

        Air runs() {
            return new Air(celsius, runsPercent / 100.0, metresPerSecond);
        }
    }

    static Room room(String key) {
        return ROOMS.stream().filter(room -> room.key().equals(key)).findFirst().orElseThrow();
    }

    /** What hung in a room, kg of green weight. */
    static double kilogramsIn(String room, double daysAgo) {
        double grams = 0;
        for (Bought lot : lots()) {
            for (DemoPiece piece : lot.pieces()) {
                double takenDown = piece.reached() == DemoProgress.HANGING ? 0 : lot.daysAgo() - piece.days();
                boolean there = piece.room().equals(room) && daysAgo <= lot.daysAgo() && daysAgo >= takenDown;
                grams += there ? (double) lot.grams() / lot.pieces().size() : 0;
            }
        }
        return grams / 1000;
    }

    /** One lot and its pieces. */
    record Bought(
            int daysAgo,
            String cut,
            String grade,
            boolean boneIn,
            int fatMm,
            int grams,
            int priceMinor,
            String supplier,
            double celsius,
            List<DemoPiece> pieces) {}

    /** Where a piece's story has got to. */
    enum DemoProgress {
        HANGING,
        PULLED,
        CUT
    }

    /** One piece; a fresh one has nothing but its role. */
    record DemoPiece(
            PieceRole role,
            Method method,
            String room,
            int days,
            DemoProgress reached,
            int coatGrams,
            Coating coating,
            boolean leak,
            boolean stalled,
            boolean spoiled,
            String note) {}

    static List<Bought> lots() {
        return LOTS.lines().map(Scenario::lot).toList();
    }

    private static Bought lot(String line) {
        String[] column =
                Arrays.stream(line.split("\\|", -1)).map(String::strip).toArray(String[]::new);
        List<DemoPiece> pieces = Arrays.stream(column[9].split(" ; "))
                .map(String::strip)
                .filter(piece -> !piece.isEmpty())
                .map(Scenario::piece)
                .toList();
        return new Bought(
                Integer.parseInt(column[0]),
                column[1],
                column[2],
                column[3].equals("yes"),
                Integer.parseInt(column[4]),
                Integer.parseInt(column[5]),
                Integer.parseInt(column[6]),
                column[7],
                Double.parseDouble(column[8]),
                pieces);
    }

    private static DemoPiece piece(String text) {
        if (text.equals("FRESH")) {
            return new DemoPiece(
                    PieceRole.FRESH, Method.VACUUM, "", 0, DemoProgress.CUT, 0, Coating.NONE, false, false, false, "");
        }
        int quote = text.indexOf('"');
        String note = quote < 0 ? "" : text.substring(quote + 1, text.length() - 1);
        List<String> word = List.of((quote < 0 ? text : text.substring(0, quote)).split(" "));
        int coat = word.stream()
                .filter(each -> each.startsWith("coat="))
                .mapToInt(each -> Integer.parseInt(each.substring("coat=".length())))
                .findFirst()
                .orElse(0);
        return new DemoPiece(
                PieceRole.valueOf(word.get(0)),
                Method.valueOf(word.get(1)),
                word.get(2),
                Integer.parseInt(word.get(3)),
                DemoProgress.valueOf(word.get(4)),
                coat,
                coating(word),
                word.contains("leak"),
                word.contains("stalled"),
                word.contains("spoiled"),
                note);
    }

    private static Coating coating(List<String> word) {
        Map<String, Coating> named = Map.of(
                "syrup", Coating.SYRUP, "cloth", Coating.CLOTH, "paste", Coating.PASTE, "salt", Coating.SALT_RUB);
        return word.stream()
                .map(named::get)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(word.contains("FAT_SEAL") ? Coating.FAT_SEAL : Coating.NONE);
    }
}
