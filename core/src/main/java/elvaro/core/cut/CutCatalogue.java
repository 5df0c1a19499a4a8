package elvaro.core.cut;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The cuts the trade ages.
 *
 * <p>Item numbers: USDA Institutional Meat Purchase Specifications, series 100 (beef), 200 (lamb), 400 (pork); written
 * down from memory, to be read as a help in finding the cut. Usual weights and bone shares: common practice, no source;
 * they are wide and only raise a question. Faces: engineering estimates (EST) of the cut across, eye and cap together.
 */
public final class CutCatalogue {
    /** code | species | name | other names | IMPS item | shape | surface | least g | most g | bone share | face cm² | steaks usually on the bone */
    private static final String TABLE = """
            rib-bone-in | BEEF | Rib, oven-prepared | prime rib, fore rib | 107 | EYE_WITH_CAP | LONG_SUBPRIMAL | 2000 | 16000 | 0.16 | 180
            export-rib | BEEF | Ribeye roll, bone-in | export rib, bone-in ribeye | 109E | EYE_WITH_CAP | LONG_SUBPRIMAL | 2000 | 14000 | 0.14 | 160
            ribeye | BEEF | Ribeye roll | ribeye, cube roll, scotch fillet | 112A | EYE_WITH_CAP | LONG_SUBPRIMAL | 1500 | 10000 | 0 | 150
            strip-bone-in | BEEF | Strip loin, bone-in | shell loin | 175 | EYE_WITH_CAP | LONG_SUBPRIMAL | 2000 | 13000 | 0.13 | 150
            strip | BEEF | Strip loin | striploin, sirloin (British), New York strip | 180 | EYE_WITH_CAP | LONG_SUBPRIMAL | 1500 | 9500 | 0 | 130
            short-loin | BEEF | Short loin | T-bone and porterhouse loin | 174 | EYE_WITH_CAP | LONG_SUBPRIMAL | 3000 | 18000 | 0.15 | 220 | yes
            top-sirloin | BEEF | Top sirloin butt | rump, D-rump | 184 | FLAT | COMPACT_ROAST | 2000 | 9000 | 0 | 220
            tri-tip | BEEF | Tri-tip | maminha, triangle roast | 185C | FLAT | FLAT_CUT | 500 | 2200 | 0 | 60
            tenderloin | BEEF | Tenderloin | fillet | 189 | FLAT | FLAT_CUT | 1000 | 4500 | 0 | 35
            inside-round | BEEF | Inside round | topside | 168 | FLAT | COMPACT_ROAST | 3000 | 12000 | 0 | 200
            outside-round | BEEF | Outside round | silverside | 171B | FLAT | COMPACT_ROAST | 2000 | 9000 | 0 | 150
            knuckle | BEEF | Knuckle | thick flank, sirloin tip | 167 | FLAT | COMPACT_ROAST | 2500 | 8000 | 0 | 150
            chuck-roll | BEEF | Chuck roll | neck end and blade eye | 116A | EYE_WITH_CAP | COMPACT_ROAST | 4000 | 14000 | 0 | 220
            clod | BEEF | Shoulder clod | bolar blade | 114 | FLAT | COMPACT_ROAST | 4000 | 14000 | 0 | 200
            brisket | BEEF | Brisket | breast | 120 | FLAT | FLAT_CUT | 2000 | 9000 | 0 | 130
            beef-steak | BEEF | Single beef steak | one steak on its own | - | EYE_WITH_CAP | SINGLE_STEAK | 100 | 1500 | 0.12 | - | yes
            deer-saddle | VENISON | Saddle of venison | both loins on the bone | - | SADDLE | QUARTER_OR_SADDLE | 1500 | 14000 | 0.28 | 110
            deer-haunch | VENISON | Haunch of venison | hindquarter, leg | - | QUARTER | QUARTER_OR_SADDLE | 1500 | 20000 | 0.24 | -
            deer-shoulder | VENISON | Shoulder of venison | forequarter | - | QUARTER | QUARTER_OR_SADDLE | 800 | 10000 | 0.26 | -
            backstrap | VENISON | Backstrap | loin off the bone | - | FLAT | FLAT_CUT | 400 | 5000 | 0 | 35
            deer-neck | VENISON | Neck of venison | collar | - | FLAT | COMPACT_ROAST | 400 | 15000 | 0.3 | -
            deer-ribs | VENISON | Ribs of venison | ribs and flank | - | FLAT | FLAT_CUT | 300 | 15000 | 0.45 | -
            deer-shank | VENISON | Shanks of venison | knuckle, for braising | - | QUARTER | COMPACT_ROAST | 200 | 10000 | 0.45 | -
            deer-loin | VENISON | Tenderloins of venison | fillets | - | FLAT | FLAT_CUT | 80 | 4000 | 0 | 12
            deer-carcass | VENISON | Whole deer carcass | hanging carcass | - | QUARTER | QUARTER_OR_SADDLE | 8000 | 220000 | 0.28 | -
            sheep-carcass | LAMB | Whole wild sheep or goat | hanging carcass | - | QUARTER | QUARTER_OR_SADDLE | 8000 | 90000 | 0.28 | -
            sheep-haunch | LAMB | Haunch of wild sheep or goat | leg | - | QUARTER | QUARTER_OR_SADDLE | 1000 | 14000 | 0.24 | -
            sheep-shoulder | LAMB | Shoulder of wild sheep or goat | forequarter | - | QUARTER | QUARTER_OR_SADDLE | 600 | 8000 | 0.26 | -
            sheep-saddle | LAMB | Saddle of wild sheep or goat | both loins on the bone | - | SADDLE | QUARTER_OR_SADDLE | 800 | 12000 | 0.28 | 100
            sheep-loin | LAMB | Loin of wild sheep or goat | off the bone | - | FLAT | FLAT_CUT | 80 | 2000 | 0 | 18
            sheep-neck | LAMB | Neck of wild sheep or goat | collar | - | FLAT | COMPACT_ROAST | 300 | 8000 | 0.3 | -
            sheep-ribs | LAMB | Ribs of wild sheep or goat | ribs and flank | - | FLAT | FLAT_CUT | 300 | 8000 | 0.45 | -
            sheep-shank | LAMB | Shanks of wild sheep or goat | knuckle, for braising | - | QUARTER | COMPACT_ROAST | 150 | 5000 | 0.45 | -
            lamb-saddle | LAMB | Saddle of lamb or mutton | double loin | 231 | SADDLE | QUARTER_OR_SADDLE | 1500 | 9000 | 0.24 | 100
            lamb-rack | LAMB | Rack of lamb | best end | 204 | EYE_WITH_CAP | FLAT_CUT | 500 | 4000 | 0.26 | 35
            lamb-leg | LAMB | Leg of lamb or mutton | gigot | 233A | QUARTER | QUARTER_OR_SADDLE | 1200 | 6500 | 0.22 | -
            lamb-shoulder | LAMB | Shoulder of lamb or mutton | square-cut shoulder | 207 | QUARTER | QUARTER_OR_SADDLE | 1200 | 9000 | 0.24 | -
            pork-loin-bone-in | PORK | Pork loin, bone-in | long loin | 410 | EYE_WITH_CAP | LONG_SUBPRIMAL | 2500 | 13000 | 0.2 | 90
            pork-loin | PORK | Pork loin, boneless | centre loin | 413 | EYE_WITH_CAP | LONG_SUBPRIMAL | 1500 | 7500 | 0 | 65
            pork-collar | PORK | Pork collar | neck, Boston butt | 406 | FLAT | COMPACT_ROAST | 1000 | 6000 | 0.1 | 90
            pork-leg | PORK | Leg of pork | fresh ham | 401 | QUARTER | QUARTER_OR_SADDLE | 4000 | 15000 | 0.18 | -
            boar-carcass | PORK | Whole wild boar | hanging carcass | - | QUARTER | QUARTER_OR_SADDLE | 10000 | 150000 | 0.25 | -
            boar-haunch | PORK | Haunch of wild boar | leg, ham | - | QUARTER | QUARTER_OR_SADDLE | 1500 | 22000 | 0.2 | -
            boar-shoulder | PORK | Shoulder of wild boar | forequarter | - | QUARTER | QUARTER_OR_SADDLE | 1000 | 14000 | 0.24 | -
            boar-saddle | PORK | Saddle of wild boar | both loins on the bone | - | SADDLE | QUARTER_OR_SADDLE | 1000 | 18000 | 0.26 | 130
            boar-loin | PORK | Loin of wild boar | off the bone | - | FLAT | FLAT_CUT | 100 | 4000 | 0 | 45
            boar-neck | PORK | Neck of wild boar | collar | - | FLAT | COMPACT_ROAST | 500 | 12000 | 0.2 | 100
            boar-ribs | PORK | Ribs of wild boar | ribs and belly | - | FLAT | FLAT_CUT | 500 | 12000 | 0.4 | -
            boar-shank | PORK | Shanks of wild boar | knuckle | - | QUARTER | COMPACT_ROAST | 200 | 8000 | 0.42 | -
            goose | WATERFOWL | Goose, drawn | wild or farm goose | - | BIRD | WHOLE_BIRD | 1200 | 7500 | 0.35 | -
            duck | WATERFOWL | Duck, drawn | wild or farm duck | - | BIRD | WHOLE_BIRD | 450 | 4000 | 0.35 | -
            bird-breast | WATERFOWL | Breast of a bird | off the keel | - | FLAT | FLAT_CUT | 60 | 1200 | 0 | -
            bird-leg | WATERFOWL | Leg of a bird | thigh and drumstick | - | BIRD | COMPACT_ROAST | 40 | 900 | 0.25 | -
            bird-frame | WATERFOWL | Carcass of a bird | with wings, for stock | - | BIRD | COMPACT_ROAST | 100 | 3000 | 0.7 | -
            whole-fish | SEA_FISH | Whole large fish | gutted, head off | - | FISH | WHOLE_FISH | 1500 | 80000 | 0.18 | -
            fish-loin | SEA_FISH | Fish loin | block of the back | - | FLAT | FLAT_CUT | 200 | 15000 | 0 | -
            fish-belly | SEA_FISH | Fish belly | by its fatness | - | FLAT | FLAT_CUT | 100 | 9000 | 0 | -
            fish-scraped | SEA_FISH | Scraped fish | off the bones | - | FLAT | FLAT_CUT | 50 | 5000 | 0 | -
            fish-frame | SEA_FISH | Fish frame | bones and skin, for stock | - | FISH | FLAT_CUT | 200 | 30000 | 0.7 | -
            """;

    private static final Map<String, Cut> CUTS = read();

    private CutCatalogue() {}

    private static Map<String, Cut> read() {
        Map<String, Cut> cuts = new LinkedHashMap<>();
        TABLE.lines().map(CutCatalogue::cut).forEach(cut -> cuts.put(cut.code(), cut));
        return cuts;
    }

    private static Cut cut(String row) {
        String[] column = Arrays.stream(row.split("\\|")).map(String::strip).toArray(String[]::new);
        return new Cut(
                column[0],
                Species.valueOf(column[1]),
                column[2],
                column[3],
                Optional.of(column[4]).filter(item -> !item.equals("-")),
                ShapeClass.valueOf(column[5]),
                SurfaceClass.valueOf(column[6]),
                Integer.parseInt(column[7]),
                Integer.parseInt(column[8]),
                Double.parseDouble(column[9]),
                column[10].equals("-") ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(column[10])),
                column.length > 11);
    }

    /** All cuts, by species, the commonest first. */
    public static List<Cut> all() {
        return List.copyOf(CUTS.values());
    }

    public static Optional<Cut> find(String code) {
        return Optional.ofNullable(CUTS.get(code));
    }

    /** @throws IllegalArgumentException if there is no such cut */
    public static Cut get(String code) {
        return find(code).orElseThrow(() -> new IllegalArgumentException("No cut has the code " + code));
    }
}
