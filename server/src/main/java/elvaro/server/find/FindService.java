package elvaro.server.find;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.working.Quantity;
import elvaro.server.find.Found.Kind;
import elvaro.server.shared.CurrentWorkshop;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Finds things of all features at once, older ones too. It reads a few columns of many tables and so is plain SQL, each bound
 * to the workshop.
 */
@Service
@Transactional(readOnly = true)
class FindService {
    private static final int OF_A_KIND = 8;

    /** Fewer letters than this are a tag or a number, and no words. */
    private static final int SHORTEST = 3;

    private final JdbcClient database;
    private final CurrentWorkshop current;

    FindService(JdbcClient database, CurrentWorkshop current) {
        this.database = database;
        this.current = current;
    }

    List<Found> find(String asked) {
        String words = asked.strip();
        String tag = words.toLowerCase(Locale.ROOT).replaceAll("[^0-9a-z]", "");
        List<Found> all = new ArrayList<>();
        if (!tag.isEmpty()) {
            all.addAll(pieces(tag));
        }
        if (words.matches("#?\\d{1,9}")) {
            int number = Integer.parseInt(words.replace("#", ""));
            all.addAll(lots("number = :number", Map.of("number", number)));
            all.addAll(packs(number));
        }
        if (words.length() >= SHORTEST) {
            Map<String, Object> like = Map.of("like", "%" + words.replaceAll("([\\\\%_])", "\\\\$1") + "%");
            all.addAll(ofCuts(words));
            all.addAll(
                    lots("supplier like :like or source_tag like :like or grade like :like or note like :like", like));
            all.addAll(animals(like));
            all.addAll(asked(Kind.TRIAL, "/trials/", "trial", "question like :like or learnt like :like", like));
            all.addAll(asked(Kind.TASTING, "/tastings/", "tasting", "question like :like", like));
            all.addAll(notes(like));
        }
        return all.stream().distinct().toList();
    }

    private List<Found> pieces(String tag) {
        return read("""
                select p.id, p.tag, coalesce(p.cut_code, l.cut_code) as cut, p.hung_on
                from piece p join lot l on l.id = p.lot_id and l.workshop_id = p.workshop_id
                where p.workshop_id = :workshop and lower(p.tag) like :tag
                order by length(p.tag), p.tag limit :most""", Map.of("tag", tag + "%"), FindService::piece);
    }

    private List<Found> ofCuts(String words) {
        List<String> codes = CutCatalogue.all().stream()
                .filter(cut -> cut.name().toLowerCase(Locale.ROOT).contains(words.toLowerCase(Locale.ROOT)))
                .map(Cut::code)
                .toList();
        return codes.isEmpty() ? List.of() : read("""
                        select p.id, p.tag, coalesce(p.cut_code, l.cut_code) as cut, p.hung_on
                        from piece p join lot l on l.id = p.lot_id and l.workshop_id = p.workshop_id
                        where p.workshop_id = :workshop and coalesce(p.cut_code, l.cut_code) in (:codes)
                        order by p.hung_on desc, p.tag limit :most""", Map.of("codes", codes), FindService::piece);
    }

    private static Found piece(Row row) {
        String hung = row.text("hung_on");
        return new Found(
                Kind.PIECE,
                row.text("tag"),
                CutCatalogue.get(row.text("cut")).name() + (hung.isEmpty() ? "" : ", hung " + day(hung)),
                "/pieces/" + row.text("id"));
    }

    private static String day(String iso) {
        return Quantity.date(LocalDate.parse(iso));
    }

    private List<Found> lots(String where, Map<String, Object> asked) {
        return read(
                "select id, number, cut_code, supplier, received_on from lot where workshop_id = :workshop and (%s)"
                                .formatted(where)
                        + " order by received_on desc, number desc limit :most",
                asked,
                row -> new Found(
                        Kind.LOT,
                        "Lot " + row.text("number"),
                        "%s, %s, %s"
                                .formatted(
                                        CutCatalogue.get(row.text("cut_code")).name(),
                                        row.text("supplier"),
                                        day(row.text("received_on"))),
                        "/lots/" + row.text("id")));
    }

    private List<Found> packs(int number) {
        return read(
                "select id, number, packed_on from pack where workshop_id = :workshop and number = :number limit :most",
                Map.of("number", number),
                row -> new Found(
                        Kind.PACK,
                        "Pack " + row.text("number"),
                        "packed " + day(row.text("packed_on")),
                        "/packs/" + row.text("id")));
    }

    private List<Found> animals(Map<String, Object> like) {
        return read(
                "select id, animal, place, killed_at from carcass where workshop_id = :workshop"
                        + " and (replace(animal, '_', ' ') like :like or permit like :like or place like :like)"
                        + " order by killed_at desc limit :most",
                like,
                row -> new Found(
                        Kind.ANIMAL,
                        row.text("animal").toLowerCase(Locale.ROOT).replace('_', ' '),
                        row.text("place"),
                        "/carcass/" + row.text("id")));
    }

    private List<Found> asked(Kind kind, String at, String table, String where, Map<String, Object> like) {
        return read(
                "select id, question from %s where workshop_id = :workshop and (%s) order by question limit :most"
                        .formatted(table, where),
                like,
                row -> new Found(kind, row.text("question"), "", at + row.text("id")));
    }

    /** Words in the log of a piece; what was taken back is gone. */
    private List<Found> notes(Map<String, Object> like) {
        return read(
                """
                select e.piece_id, e.words, p.tag from log_entry e
                join piece p on p.id = e.piece_id and p.workshop_id = e.workshop_id
                where e.workshop_id = :workshop and e.words like :like and e.kind <> 'TAKEN_BACK'
                and not exists (select 1 from log_entry c where c.workshop_id = e.workshop_id and c.corrects_id = e.id)
                order by e.happened_at desc limit :most""",
                like,
                row -> new Found(Kind.NOTE, row.text("tag"), row.text("words"), "/pieces/" + row.text("piece_id")));
    }

    /** A row by the names of its columns; empty where nothing stands. */
    private interface Row {
        String text(String column);
    }

    private interface Reading {
        Found read(Row row);
    }

    private List<Found> read(String sql, Map<String, Object> asked, Reading reading) {
        return database.sql(sql)
                .param("workshop", current.person().workshopId().toString())
                .param("most", OF_A_KIND)
                .params(asked)
                .query((row, number) -> {
                    Map<String, String> columns = new HashMap<>();
                    for (int column = 1; column <= row.getMetaData().getColumnCount(); column++) {
                        String text = row.getString(column);
                        columns.put(row.getMetaData().getColumnLabel(column), text == null ? "" : text);
                    }
                    return reading.read(column -> columns.getOrDefault(column, ""));
                })
                .list();
    }
}
