package elvaro.server.shared;

import jakarta.persistence.EntityManagerFactory;
import jakarta.persistence.Table;
import jakarta.persistence.metamodel.EntityType;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * In what form the rows of each table of the record are hashed: by which columns. A column that comes later makes a new form;
 * links keep the number of theirs, so that older ones can be checked for ever.
 */
@Component
public class ChainForms {
    private final Map<String, String> labels = new TreeMap<>();
    private final Map<String, Map<Integer, List<String>>> columns = new HashMap<>();

    ChainForms(JdbcClient database, EntityManagerFactory entities) {
        for (EntityType<?> entity : entities.getMetamodel().getEntities()) {
            Chained chained = entity.getJavaType().getAnnotation(Chained.class);
            if (chained != null) {
                labels.put(entity.getJavaType().getAnnotation(Table.class).name(), chained.value());
            }
        }
        database.sql("select table_name, form, columns from chain_form").query(row -> {
            known(row.getString(1)).put(row.getInt(2), List.of(row.getString(3).split(",")));
        });
        for (String table : labels.keySet()) {
            List<String> now = database.sql("select column_name from information_schema.columns"
                            + " where table_schema = database() and table_name = ? order by column_name")
                    .param(table)
                    .query(String.class)
                    .list();
            TreeMap<Integer, List<String>> forms = known(table);
            if (forms.isEmpty() || !forms.lastEntry().getValue().equals(now)) {
                int next = forms.isEmpty() ? 1 : forms.lastKey() + 1;
                database.sql("insert ignore into chain_form (table_name, form, columns) values (?, ?, ?)")
                        .params(table, next, String.join(",", now))
                        .update();
                forms.put(next, now);
            }
        }
    }

    private TreeMap<Integer, List<String>> known(String table) {
        return (TreeMap<Integer, List<String>>) columns.computeIfAbsent(table, each -> new TreeMap<>());
    }

    /** The tables whose rows are links. */
    public Collection<String> tables() {
        return labels.keySet();
    }

    /** What a row of a table is called. */
    public String label(String table) {
        return labels.getOrDefault(table, table);
    }

    /** The form in which new rows are hashed. */
    public int newest(String table) {
        return known(table).lastKey();
    }

    /**
     * Asks for id and SHA-256 of rows: every column that holds something, by name, length and value as the database writes it.
     *
     * @param ids how many are asked for; the workshop is the parameter before them
     */
    public String hashes(String table, int form, int ids) {
        String parts = Objects.requireNonNull(known(table).get(form), "No such form").stream()
                .map(column -> "concat('%1$s=', length(`%1$s`), ':', `%1$s`)".formatted(column))
                .collect(Collectors.joining(", "));
        return "select id, sha2(concat_ws(char(10), %s), 256), 0 from %s where workshop_id = ? and id in (?%s)"
                .formatted(parts, table, ", ?".repeat(ids - 1));
    }
}
