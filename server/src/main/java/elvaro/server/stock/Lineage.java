package elvaro.server.stock;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * What packs were made of, down to the pieces and the meat that was bought.
 *
 * @param packs those asked about and every one that went into them, by id
 * @param makings they come from, by id
 * @param into what went into each making out of packs
 * @param bought what was bought for each making
 */
record Lineage(
        Map<UUID, Pack> packs,
        Map<UUID, Making> makings,
        Map<UUID, List<PackOut>> into,
        Map<UUID, List<MakingBought>> bought) {

    /** The pieces behind all of it. */
    Set<UUID> pieces() {
        return packs.values().stream().flatMap(pack -> pack.pieceId().stream()).collect(Collectors.toSet());
    }

    List<PackOut> into(Making making) {
        return into.getOrDefault(making.id(), List.of());
    }

    List<MakingBought> bought(Making making) {
        return bought.getOrDefault(making.id(), List.of());
    }

    /** Everything behind a pack that comes straight from a piece: itself, or what its making was made of. */
    List<Pack> roots(Pack pack) {
        if (pack.makingId().isEmpty()) {
            return List.of(pack);
        }
        return into.getOrDefault(pack.makingId().get(), List.of()).stream()
                .map(out -> packs.get(out.packId()))
                .flatMap(source -> roots(source).stream())
                .distinct()
                .toList();
    }

    /** Meat that was bought for any making behind a pack. */
    List<MakingBought> boughtBehind(Pack pack) {
        if (pack.makingId().isEmpty()) {
            return List.of();
        }
        List<MakingBought> all =
                new ArrayList<>(bought.getOrDefault(pack.makingId().get(), List.of()));
        into.getOrDefault(pack.makingId().get(), List.of())
                .forEach(out -> all.addAll(boughtBehind(packs.get(out.packId()))));
        return all.stream().distinct().toList();
    }

    /** Reads lineages: a few queries for each time something was made of what was made. */
    @Component
    static class LineageReader {
        private final PackRepository repository;

        LineageReader(PackRepository repository) {
            this.repository = repository;
        }

        Lineage of(List<Pack> asked) {
            Map<UUID, Pack> packs = new HashMap<>();
            asked.forEach(pack -> packs.put(pack.id(), pack));
            Map<UUID, Making> makings = new HashMap<>();
            Map<UUID, List<PackOut>> into = new HashMap<>();
            Map<UUID, List<MakingBought>> bought = new HashMap<>();
            Set<UUID> open = makingsOf(asked);
            while (!open.isEmpty()) {
                repository.makings(open).forEach(making -> makings.put(making.id(), making));
                List<PackOut> outs = standing(repository.into(open));
                into.putAll(outs.stream()
                        .collect(Collectors.groupingBy(out -> out.makingId().orElseThrow())));
                bought.putAll(repository.bought(open).stream().collect(Collectors.groupingBy(MakingBought::makingId)));
                Set<UUID> further = outs.stream()
                        .map(PackOut::packId)
                        .filter(id -> !packs.containsKey(id))
                        .collect(Collectors.toSet());
                List<Pack> sources = further.isEmpty() ? List.of() : repository.all(further);
                packs.putAll(sources.stream().collect(Collectors.toMap(Pack::id, Function.identity())));
                open = makingsOf(sources);
                open.removeAll(makings.keySet());
            }
            return new Lineage(packs, makings, into, bought);
        }

        /** Without what was taken back. */
        private List<PackOut> standing(List<PackOut> outs) {
            if (outs.isEmpty()) {
                return outs;
            }
            Set<UUID> back = repository
                    .takingBack(outs.stream().map(PackOut::id).toList())
                    .stream()
                    .flatMap(row -> row.takesBack().stream())
                    .collect(Collectors.toSet());
            return outs.stream().filter(out -> !back.contains(out.id())).toList();
        }

        private static Set<UUID> makingsOf(List<Pack> packs) {
            return packs.stream().flatMap(pack -> pack.makingId().stream()).collect(Collectors.toSet());
        }
    }
}
