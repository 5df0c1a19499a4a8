package elvaro.server.stock;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class WithdrawalsTest {
    private static final UUID HAND = UUID.randomUUID();

    private static Pack pack(int grams) {
        LocalDate day = LocalDate.of(2026, 1, 30);
        return new Pack(
                new PackForm(UUID.randomUUID(), Content.STEAK, grams, Wrap.VACUUM, Keeping.FROZEN, day, null, ""),
                1,
                Pack.Origin.piece(UUID.randomUUID()),
                HAND,
                Instant.EPOCH);
    }

    private static PackOut out(Pack pack, int grams, int second) {
        return row(pack, WithdrawalPurpose.SALE, grams, second, null);
    }

    private static PackOut back(Pack pack, PackOut slip, int second) {
        return row(pack, slip.way(), slip.grams(), second, slip.id());
    }

    private static PackOut row(Pack pack, WithdrawalPurpose way, int grams, int second, UUID takesBack) {
        Instant at = Instant.ofEpochSecond(second);
        return new PackOut(UUID.randomUUID(), pack.id(), way, grams, "", at, HAND, takesBack);
    }

    @Test
    void a_pack_nobody_touched_is_whole() {
        assertThat(Withdrawals.left(pack(420), List.of())).isEqualTo(420);
    }

    @Test
    void what_was_taken_back_is_there_again_and_does_not_stand() {
        Pack pack = pack(1000);
        PackOut sold = out(pack, 600, 1);
        PackOut eaten = out(pack, 100, 2);
        List<PackOut> rows = List.of(sold, eaten, back(pack, sold, 3));
        assertThat(Withdrawals.left(pack, rows)).isEqualTo(900);
        assertThat(Withdrawals.standing(rows)).containsExactly(eaten);
    }

    /** Whatever goes out and comes back, what is left and what stands make the pack. */
    @RepeatedTest(50)
    void nothing_is_lost_between_what_is_left_and_what_stands(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        Pack pack = pack(2000);
        List<PackOut> rows = new ArrayList<>();
        for (int second = 1; second < 40; second++) {
            List<PackOut> standing = Withdrawals.standing(rows);
            int left = Withdrawals.left(pack, rows);
            if (!standing.isEmpty() && random.nextInt(3) == 0) {
                rows.add(back(pack, standing.get(random.nextInt(standing.size())), second));
            } else if (left > 0) {
                rows.add(out(pack, 1 + random.nextInt(left), second));
            }
            int gone =
                    Withdrawals.standing(rows).stream().mapToInt(PackOut::grams).sum();
            assertThat(Withdrawals.left(pack, rows)).isNotNegative();
            assertThat(Withdrawals.left(pack, rows) + gone).isEqualTo(2000);
        }
    }
}
