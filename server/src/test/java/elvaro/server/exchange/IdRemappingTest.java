package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.lenient;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.springframework.jdbc.core.JdbcTemplate;

/** What rows of another house are called here; without a database. */
@ExtendWith(MockitoExtension.class)
class IdRemappingTest {
    private static final UUID WORKSHOP = UUID.randomUUID();
    private static final ArchiveTable LOTS = table("lot", "id", "number");
    private static final ArchiveTable PIECES = table("piece", "id", "lot_id", "tag");
    private static final ArchiveTable CHAMBERS = table("chamber", "id", "name");
    private static final ArchiveTable RULES = table("pack_rule", "content", "wrap", "keeping");

    @Mock
    JdbcTemplate database;

    private static ArchiveTable table(String name, String... columns) {
        return new ArchiveTable(
                name, "", Arrays.stream(columns).map(ArchiveColumn::moment).toList(), Map.of(), name, Map.of());
    }

    /** Lots up to 12, a chamber and a rule of its own. */
    @BeforeEach
    void a_house_in_use() {
        lenient()
                .when(database.queryForObject(contains("from lot"), eq(Integer.class), any()))
                .thenReturn(12);
        lenient()
                .when(database.queryForList(contains("from chamber"), eq(String.class), any()))
                .thenReturn(List.of("cold room"));
        lenient()
                .when(database.queryForList(contains("from pack_rule"), eq(String.class), any()))
                .thenReturn(List.of("STEAK VACUUM FROZEN"));
    }

    private IdRemapping fromElsewhere() {
        return new IdRemapping(database, WORKSHOP, false);
    }

    @Test
    void a_lots_number_goes_on_from_the_last_here_and_its_pieces_tags_with_it() {
        IdRemapping remapping = fromElsewhere();
        Object[] lot = {"a", 3L};
        Object[] piece = {"b", "a", "3A"};
        assertThat(remapping.remap(LOTS, lot)).isTrue();
        assertThat(remapping.remap(PIECES, piece)).isTrue();
        assertThat(lot[1]).isEqualTo(15L);
        assertThat(piece[2]).isEqualTo("15A");
        assertThat(remapping.changes()).singleElement().asString().contains("numbers from 13 on");
    }

    @Test
    void a_tag_that_somebody_chose_stays_and_one_that_would_not_fit_is_refused() {
        IdRemapping remapping = fromElsewhere();
        remapping.remap(LOTS, new Object[] {"a", 3L});
        Object[] own = {"b", "a", "LEFT HAUNCH"};
        remapping.remap(PIECES, own);
        assertThat(own[2]).isEqualTo("LEFT HAUNCH");
        assertThatThrownBy(() -> remapping.remap(PIECES, new Object[] {"c", "a", "3ABCDEFGHIJK"}))
                .hasMessageContaining("15ABCDEFGHIJK");
    }

    @Test
    void a_chamber_whose_name_is_taken_gets_another_however_it_is_written() {
        IdRemapping remapping = fromElsewhere();
        Object[] first = {"a", "Cold Room"};
        Object[] second = {"b", "COLD ROOM"};
        Object[] longest = {"c", "L".repeat(60)};
        Object[] again = {"d", "L".repeat(60)};
        List.of(first, second, longest, again).forEach(row -> remapping.remap(CHAMBERS, row));
        assertThat(first[1]).isEqualTo("Cold Room (2)");
        assertThat(second[1]).isEqualTo("COLD ROOM (3)");
        assertThat(again[1]).isEqualTo("L".repeat(56) + " (2)");
    }

    @Test
    void a_rule_the_house_has_of_its_own_is_kept_and_the_one_that_comes_left_out() {
        IdRemapping remapping = fromElsewhere();
        assertThat(remapping.remap(RULES, new Object[] {"STEAK", "VACUUM", "FROZEN"}))
                .isFalse();
        assertThat(remapping.remap(RULES, new Object[] {"STEAK", "VACUUM", "CHILLED"}))
                .isTrue();
    }

    @Test
    void an_id_is_another_here_the_same_each_time_and_of_the_same_version() {
        UUID there = UUID.randomUUID();
        UUID here = UUID.fromString(fromElsewhere().id(there.toString()));
        assertThat(here).isNotEqualTo(there).isEqualTo(IdRemapping.here(WORKSHOP, there));
        assertThat(here.version()).isEqualTo(there.version());
        assertThat(here.variant()).isEqualTo(there.variant());
        assertThat(IdRemapping.here(WORKSHOP, here)).as("there and back").isEqualTo(there);
    }

    @Test
    void rows_of_this_very_workshop_keep_what_they_are_called() {
        IdRemapping remapping = new IdRemapping(database, WORKSHOP, true);
        Object[] lot = {"a", 3L};
        remapping.remap(LOTS, lot);
        assertThat(lot[1]).isEqualTo(3L);
        assertThat(remapping.id("not even an id")).isEqualTo("not even an id");
        assertThat(remapping.changes()).isEmpty();
    }
}
