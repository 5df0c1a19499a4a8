package elvaro.server.chain;

import static elvaro.server.support.Bodies.entry;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.server.chain.ChainCheck.ChainState;
import elvaro.server.shared.Chained;
import elvaro.server.support.Client;
import elvaro.server.support.DatabaseOwner;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import jakarta.persistence.EntityManagerFactory;
import jakarta.persistence.metamodel.EntityType;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.Immutable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

@ExtendWith(RunningApp.class)
class ChainIT {
    /** Written once and not of the record: what was expected, and how a trial is laid out. */
    /** What was expected, and what was told and answered: no record of what was done. */
    private static final Set<String> NOT_OF_THE_RECORD =
            Set.of("PiecePlan", "TastingNote", "TrialArm", "TrialPiece", "Notice", "AlarmAnswer");

    private static ChainState state(Someone owner) {
        return RunningApp.bean(ChainCheck.class).of(owner.person().workshopId());
    }

    private record House(String piece, String weighed, String looked) {}

    private static House furnished(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hang(client.chamber("Cabinet", 50_000), 4000, 4000).get(0);
        String weighed = UUID.randomUUID().toString();
        String path = "/api/pieces/%s/log/%s".formatted(piece, weighed);
        client.must(client.put(path, entry("WEIGHED", 3900)));
        client.must(client.put(path, entry("WEIGHED", 3900))); // a retry
        String wrong = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/%s/log/%s".formatted(piece, wrong), entry("WEIGHED", 3800)));
        Map<String, Object> correction = entry("WEIGHED", 3700);
        correction.put("corrects", wrong);
        client.must(client.write(piece, correction));
        client.must(client.write(piece, entry("TURNED", 0)));
        client.cut();
        return new House(piece, weighed, wrong);
    }

    @Test
    void retries_and_corrections_leave_a_chain_without_a_fault(Someone owner) {
        furnished(owner);
        ChainState found = state(owner);
        assertThat(found.faults()).isEmpty();
        assertThat(found.links()).isGreaterThan(8);
        assertThat(owner.client()
                        .get("/api/record/chain")
                        .body()
                        .at("/state/links")
                        .asLong())
                .isEqualTo(found.links());
    }

    @Test
    void the_demo_of_many_months_has_a_chain_without_a_fault(JdbcClient database) {
        UUID demo = UUID.fromString(database.sql("select id from workshop where name = 'Brackenrow'")
                .query(String.class)
                .list()
                .get(0));
        ChainState found = RunningApp.bean(ChainCheck.class).of(demo);
        assertThat(found.faults()).isEmpty();
        assertThat(found.links()).isGreaterThan(500);
    }

    @Test
    void the_application_itself_can_neither_change_nor_delete_what_is_linked_nor_a_link(
            Someone owner, JdbcClient database) {
        House house = furnished(owner);
        for (String forbidden : List.of(
                "update log_entry set grams = 1 where id = '%s'".formatted(house.weighed),
                "delete from log_entry where id = '%s'".formatted(house.weighed),
                "update chain_link set row_hash = 'x' where row_id = '%s'".formatted(house.weighed),
                "delete from chain_link where row_id = '%s'".formatted(house.weighed),
                "drop trigger log_entry_unchanged",
                "truncate table log_entry",
                "alter table log_entry add column x int")) {
            assertThatThrownBy(() -> database.sql(forbidden).update())
                    .as(forbidden)
                    .rootCause()
                    .message()
                    .containsAnyOf("is never changed", "denied");
        }
        assertThat(state(owner).faults()).isEmpty();
    }

    @Test
    void a_figure_changed_in_the_database_is_named(Someone owner) {
        House house = furnished(owner);
        DatabaseOwner.does(
                List.of("log_entry"), "update log_entry set grams = 3899 where id = '%s'".formatted(house.weighed));
        assertThat(state(owner).faults()).singleElement().asString().contains("entry of the log", "changed after");
    }

    @Test
    void an_entry_deleted_with_or_without_its_link_is_named(Someone owner) {
        House house = furnished(owner);
        String gone = "delete from log_entry where id = '%s'".formatted(house.weighed);
        DatabaseOwner.does(List.of("log_entry"), gone);
        assertThat(state(owner).faults()).singleElement().asString().contains("was deleted");
        DatabaseOwner.does(
                List.of("chain_link"), "delete from chain_link where row_id = '%s'".formatted(house.weighed));
        assertThat(state(owner).faults()).first().asString().contains("links are missing");
    }

    @Test
    void an_entry_put_in_by_hand_and_links_in_another_order_are_named(Someone owner, JdbcClient database) {
        House house = furnished(owner);
        database.sql("insert into log_entry select uuid(), workshop_id, piece_id, kind, stream, 3700, words,"
                        + " happened_at, recorded_at, account_id, corrects_id, steaks, cause, estimated, pile, untrimmed"
                        + " from (select * from log_entry where id = ?) one")
                .param(house.weighed)
                .update();
        assertThat(state(owner).faults()).singleElement().asString().contains("without a link");
        String workshop = owner.person().workshopId().toString();
        DatabaseOwner.does(
                List.of("chain_link"),
                "update chain_link set number = 99999 where number = 3 and workshop_id = '%s'".formatted(workshop),
                "update chain_link set number = 3 where number = 4 and workshop_id = '%s'".formatted(workshop),
                "update chain_link set number = 4 where number = 99999 and workshop_id = '%s'".formatted(workshop));
        assertThat(state(owner).faults()).first().asString().contains("Link 3", "not in its place");
    }

    /** Whoever can write hashes can forge a chain; not a signature, for which the key is wanted. */
    @Test
    void a_chain_forged_or_cut_short_after_its_day_was_signed_is_named(Someone owner, JdbcClient database) {
        House house = furnished(owner);
        UUID workshop = owner.person().workshopId();
        RunningApp.bean(Checkpoints.class).closeNow(workshop);
        assertThat(state(owner).faults()).isEmpty();
        assertThat(state(owner).keys())
                .containsExactly(RunningApp.bean(HouseKey.class).print());
        long last = state(owner).links();
        DatabaseOwner.does(
                List.of("chain_link", "log_entry"),
                "delete from chain_link where workshop_id = '%s' and number = %d".formatted(workshop, last));
        assertThat(state(owner).faults().toString()).contains("of which the last is missing");
        assertThat(database.sql("select count(*) from chain_checkpoint where workshop_id = ?")
                        .param(workshop.toString())
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        DatabaseOwner.does(
                List.of("chain_checkpoint"),
                "update chain_checkpoint set number = %d, hash = (select hash from chain_link where workshop_id = '%s' and number = %d) where workshop_id = '%s'"
                        .formatted(last - 1, workshop, last - 1, workshop));
        assertThat(state(owner).faults().toString()).contains("What was signed");
        assertThat(house.looked).isNotEmpty();
    }

    @Test
    void every_row_that_is_written_once_is_of_the_chain_and_guarded() {
        Set<EntityType<?>> once = RunningApp.bean(EntityManagerFactory.class).getMetamodel().getEntities().stream()
                .filter(entity -> entity.getJavaType().isAnnotationPresent(Immutable.class))
                .filter(entity -> !NOT_OF_THE_RECORD.contains(entity.getName()))
                .collect(Collectors.toSet());
        assertThat(once).hasSizeGreaterThan(18).allSatisfy(entity -> {
            assertThat(entity.getJavaType()).hasAnnotation(Chained.class);
            String table = entity.getJavaType()
                    .getAnnotation(jakarta.persistence.Table.class)
                    .name();
            DatabaseOwner.does(List.of(table)); // finds both guards, or fails
        });
    }
}
