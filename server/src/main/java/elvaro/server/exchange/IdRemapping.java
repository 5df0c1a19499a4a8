package elvaro.server.exchange;

import elvaro.server.shared.Ids;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What rows are called here that were made elsewhere: ids that are this workshop's own, numbers and names that are not
 * taken. Rows of this very workshop keep what they are called. The same archive is remapped the same way however often it comes.
 */
final class IdRemapping {
    private static final Set<String> NUMBERED = Set.of("lot", "making", "pack");
    private static final int LONGEST_CHAMBER_NAME = 60;
    private static final int LONGEST_TAG = 12;
    /** RFC 9562, section 4: what kind of id it is stays. */
    private static final long VERSION = 0xF000L;

    private static final long VARIANT = 0xC000_0000_0000_0000L;

    private final JdbcTemplate database;
    private final UUID workshop;
    private final UUID mask;
    private final boolean same;
    private final Map<String, Integer> offsets = new HashMap<>();
    private final Map<String, Renumbered> lots = new HashMap<>();
    private final Set<String> chambers = new HashSet<>();
    private final Set<String> packRules = new HashSet<>();
    private final List<String> changes = new ArrayList<>();

    private record Renumbered(String before, String now) {}

    /** @param same whether the archive was made in this very workshop */
    IdRemapping(JdbcTemplate database, UUID workshop, boolean same) {
        this.database = database;
        this.workshop = workshop;
        this.mask = mask(workshop);
        this.same = same;
        NUMBERED.forEach(table -> offsets.put(table, same ? 0 : highest(table)));
        chambers.addAll(database.queryForList(
                "select lower(name) from chamber where workshop_id = ?", String.class, workshop.toString()));
        packRules.addAll(database.queryForList(
                "select concat(content, ' ', wrap, ' ', keeping) from pack_rule where workshop_id = ?",
                String.class,
                workshop.toString()));
    }

    private int highest(String table) {
        Integer highest = database.queryForObject(
                "select coalesce(max(number), 0) from %s where workshop_id = ?".formatted(table),
                Integer.class,
                workshop.toString());
        return highest == null ? 0 : highest;
    }

    /** The id a row has here. */
    String id(String there) {
        return same ? there : idHere(UUID.fromString(there)).toString();
    }

    private UUID idHere(UUID there) {
        return crossed(there, mask);
    }

    /**
     * The id a row of another workshop has in this one. Two that lie side by side there do so here, and rows in the order of
     * their ids are written many times faster than in any other.
     */
    static UUID here(UUID workshop, UUID there) {
        return crossed(there, mask(workshop));
    }

    private static UUID mask(UUID workshop) {
        return Ids.after(workshop, "carried");
    }

    private static UUID crossed(UUID there, UUID mask) {
        return new UUID(
                there.getMostSignificantBits() ^ mask.getMostSignificantBits() & ~VERSION,
                there.getLeastSignificantBits() ^ mask.getLeastSignificantBits() & ~VARIANT);
    }

    /** Changes a new row, its ids remapped already, to what it is called here; false leaves it out. */
    boolean remap(ArchiveTable table, Object[] row) {
        if (NUMBERED.contains(table.name())) {
            renumber(table, row);
        }
        return switch (table.name()) {
            case "chamber" -> rename(table, row);
            case "piece" -> retag(table, row);
            case "pack_rule" ->
                packRules.add("%s %s %s"
                        .formatted(
                                row[table.indexOf("content")],
                                row[table.indexOf("wrap")],
                                row[table.indexOf("keeping")]));
            default -> true;
        };
    }

    private void renumber(ArchiveTable table, Object[] row) {
        int index = table.indexOf("number");
        long before = (Long) row[index];
        long now = before + offsets.getOrDefault(table.name(), 0);
        row[index] = now;
        if (table.name().equals("lot")) {
            lots.put((String) row[table.indexOf("id")], new Renumbered(String.valueOf(before), String.valueOf(now)));
        }
    }

    /** A lot that is here already; the number it has here may be another. */
    void knownLot(ArchiveTable table, Object[] row) {
        String id = (String) row[table.indexOf("id")];
        String now = database.queryForObject(
                "select number from lot where workshop_id = ? and id = ?", String.class, workshop.toString(), id);
        lots.put(id, new Renumbered(String.valueOf(row[table.indexOf("number")]), String.valueOf(now)));
    }

    private boolean rename(ArchiveTable table, Object[] row) {
        int index = table.indexOf("name");
        String wanted = (String) row[index];
        String name = wanted;
        for (int second = 2; !chambers.add(name.toLowerCase(Locale.ROOT)); second++) {
            String ending = " (%d)".formatted(second);
            name = wanted.substring(0, Math.min(wanted.length(), LONGEST_CHAMBER_NAME - ending.length())) + ending;
        }
        if (!name.equals(wanted)) {
            changes.add("There is a chamber %s here; the one that comes is called %s.".formatted(wanted, name));
        }
        row[index] = name;
        return true;
    }

    /** A tag is its lot's number and letters. */
    private boolean retag(ArchiveTable table, Object[] row) {
        int index = table.indexOf("tag");
        String tag = (String) row[index];
        Renumbered lot = lots.get((String) row[table.indexOf("lot_id")]);
        if (lot != null && !lot.before().equals(lot.now()) && tag.startsWith(lot.before())) {
            String now = lot.now() + tag.substring(lot.before().length());
            if (now.length() > LONGEST_TAG) {
                throw new IllegalArgumentException("the tag %s would become too long, %s.".formatted(tag, now));
            }
            row[index] = now;
        }
        return true;
    }

    /** What is called otherwise here, in sentences. */
    List<String> changes() {
        List<String> all = new ArrayList<>(changes);
        int lotOffset = offsets.getOrDefault("lot", 0);
        if (lotOffset > 0) {
            all.add("Lots and the tags of their pieces get numbers from %d on, for those before are taken."
                    .formatted(lotOffset + 1));
        }
        int packOffset = offsets.getOrDefault("pack", 0);
        if (packOffset > 0) {
            all.add(
                    ("Packs get numbers from %d on. Labels that were printed elsewhere bear the numbers they had there.")
                            .formatted(packOffset + 1));
        }
        return all;
    }

    /** The next lot's number, above all that came. */
    void raiseLotNumber() {
        database.update(
                "update workshop set next_lot_number = greatest(next_lot_number, ?) where id = ?",
                highest("lot") + 1,
                workshop.toString());
    }

    /**
     * The entry of a coat has an id made from its treatment's, by which it is taken back with it.
     *
     * @return what became of each id
     */
    Map<String, String> coats(Iterable<String> treatmentsThere) {
        Map<String, String> renamed = new HashMap<>();
        for (String each : treatmentsThere) {
            UUID there = UUID.fromString(each);
            String was = idHere(Ids.after(there, "coat")).toString();
            String now = Ids.after(idHere(there), "coat").toString();
            renamed.put(was, now);
            database.update(
                    "update log_entry set id = ? where workshop_id = ? and id = ? and kind = 'COAT_ON'",
                    now,
                    workshop.toString(),
                    was);
        }
        return renamed;
    }
}
