package elvaro.server.stock;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was packed, and what went, over some days. */
@Service
@Transactional(readOnly = true)
public class StockFlows {
    private final PackRepository packs;

    StockFlows(PackRepository packs) {
        this.packs = packs;
    }

    /** Packs of one content. */
    public record PackedFlow(String content, long packs, long grams) {}

    /** What went one way. */
    public record WentFlow(String way, long grams) {}

    public List<PackedFlow> packed(LocalDate first, LocalDate last) {
        return packs.packed(first, last).stream()
                .map(row -> new PackedFlow(((Content) row[0]).label(), (Long) row[1], (Long) row[2]))
                .toList();
    }

    /** What was taken back again does not count. */
    public List<WentFlow> went(Instant from, Instant before) {
        return packs.went(from, before).stream()
                .map(row -> new WentFlow(((WithdrawalPurpose) row[0]).label(), (Long) row[1]))
                .toList();
    }
}
