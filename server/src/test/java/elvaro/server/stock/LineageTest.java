package elvaro.server.stock;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.blend.Made.Product;
import elvaro.server.stock.Pack.Origin;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What packs were made of, through as many makings as there are. */
class LineageTest {
    private static final UUID HAND = UUID.randomUUID();
    private static final LocalDate DAY = LocalDate.of(2026, 1, 30);

    private final UUID haunch = UUID.randomUUID();
    private final UUID loin = UUID.randomUUID();
    private final Pack haunchTrim = pack(1, Content.TRIM, Origin.piece(haunch));
    private final Pack loinTrim = pack(2, Content.TRIM, Origin.piece(loin));
    private final Making first = making(1);
    private final Making second = making(2);
    private final Pack firstGrind = pack(3, Content.GRIND, Origin.making(first.id()));
    private final Pack secondGrind = pack(4, Content.GRIND, Origin.making(second.id()));
    private final MakingBought chuck = bought(first, "fresh chuck");
    private final MakingBought plate = bought(second, "fresh plate");

    /** Trim of the haunch goes into the first grind; the first grind and trim of the loin into the second. */
    private final Lineage lineage = new Lineage(
            byId(haunchTrim, loinTrim, firstGrind, secondGrind),
            Map.of(first.id(), first, second.id(), second),
            Map.of(
                    first.id(), List.of(into(first, haunchTrim)),
                    second.id(), List.of(into(second, firstGrind), into(second, loinTrim))),
            Map.of(first.id(), List.of(chuck), second.id(), List.of(plate)));

    private static Pack pack(int number, Content content, Origin from) {
        PackForm form = new PackForm(UUID.randomUUID(), content, 400, Wrap.VACUUM, Keeping.FROZEN, DAY, null, "");
        return new Pack(form, number, from, HAND, Instant.EPOCH);
    }

    private static Making making(int number) {
        return new Making(UUID.randomUUID(), number, Product.GRIND, Instant.EPOCH, HAND).weighing(1000, "");
    }

    private static MakingBought bought(Making making, String name) {
        return new MakingBought(UUID.randomUUID(), making.id(), name, 900, 1000);
    }

    private static PackOut into(Making making, Pack pack) {
        return new PackOut(UUID.randomUUID(), pack.id(), WithdrawalPurpose.GRIND, 100, "", Instant.EPOCH, HAND, null)
                .into(making.id());
    }

    private static Map<UUID, Pack> byId(Pack... packs) {
        return new HashMap<>(List.of(packs).stream().collect(Collectors.toMap(Pack::id, pack -> pack)));
    }

    @Test
    void a_pack_of_a_piece_is_its_own_root() {
        assertThat(lineage.roots(haunchTrim)).containsExactly(haunchTrim);
        assertThat(lineage.boughtBehind(haunchTrim)).isEmpty();
    }

    @Test
    void a_grind_goes_back_to_every_piece_in_it_and_to_what_was_bought() {
        assertThat(lineage.roots(firstGrind)).containsExactly(haunchTrim);
        assertThat(lineage.boughtBehind(firstGrind)).containsExactly(chuck);
    }

    @Test
    void a_grind_of_a_grind_goes_back_through_it() {
        assertThat(lineage.roots(secondGrind)).containsExactly(haunchTrim, loinTrim);
        assertThat(lineage.boughtBehind(secondGrind)).containsExactly(plate, chuck);
        assertThat(lineage.pieces()).containsExactlyInAnyOrder(haunch, loin);
    }

    @Test
    void what_was_made_is_called_by_its_product_and_number() {
        assertThat(first.name()).isEqualTo("Grind 1");
        assertThat(making(7).name()).isEqualTo("Grind 7");
        assertThat(new Making(UUID.randomUUID(), 3, Product.TALLOW, Instant.EPOCH, HAND).name())
                .isEqualTo("Tallow 3");
    }

    @Test
    void every_content_comes_from_a_pile_or_from_a_product_and_never_from_both() {
        for (Content content : Content.values()) {
            assertThat(content.pile().isPresent())
                    .as(content.name())
                    .isNotEqualTo(content.product().isPresent());
        }
        assertThat(Content.GRIND.isGround()).isTrue();
        assertThat(Content.STEW.isGround()).isFalse();
    }
}
