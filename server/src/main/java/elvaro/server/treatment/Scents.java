package elvaro.server.treatment;

import elvaro.core.ledger.PieceLog;
import elvaro.core.question.Question;
import elvaro.core.treatment.Scent;
import elvaro.server.chamber.Chamber;
import elvaro.server.hanging.Neighbours;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.settings.WorkshopService;
import elvaro.server.treatment.TreatmentRepository.ScentRow;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Spirit and smoke, and what stands or stood beside them. A piece that was moved is looked for where it hangs now. */
@Service
@Transactional(readOnly = true)
public class Scents implements Neighbours {
    private final TreatmentRepository rows;
    private final PieceReader pieces;
    private final PieceLogs logs;
    private final WorkshopService workshops;

    Scents(TreatmentRepository rows, PieceReader pieces, PieceLogs logs, WorkshopService workshops) {
        this.rows = rows;
        this.pieces = pieces;
        this.logs = logs;
        this.workshops = workshops;
    }

    /** A piece that gives off a scent, and when its chamber had it. */
    private record Scented(Piece piece, Scent scent, UUID chamber, LocalDate from, LocalDate until) {
        private boolean meets(Stay stay) {
            return !piece.id().equals(stay.piece())
                    && chamber.equals(stay.chamber())
                    && !from.isAfter(stay.until())
                    && !until.isBefore(stay.from());
        }
    }

    private record Stay(UUID piece, UUID chamber, LocalDate from, LocalDate until) {}

    /** Everything in the workshop that gives a scent off: read once for many pieces. */
    public final class Air {
        private final ZoneId zone = workshops.mine().zone();
        private final LocalDate today = workshops.today();
        private final List<Scented> scented = read();

        private Air() {}

        private List<Scented> read() {
            List<ScentRow> given = rows.scenting(Scent.KINDS);
            Map<UUID, Piece> byId = pieces
                    .findAll(given.stream().map(ScentRow::pieceId).distinct().toList())
                    .stream()
                    .collect(Collectors.toMap(Piece::id, Function.identity()));
            Map<UUID, PieceLog> read = logs.of(List.copyOf(byId.values()));
            List<Scented> all = new ArrayList<>();
            for (ScentRow row : given) {
                Piece piece = byId.get(row.pieceId());
                Scent.of(row.kind(), row.spirit())
                        .flatMap(scent -> stay(piece, read.get(piece.id()))
                                .map(stay -> new Scented(
                                        piece,
                                        scent,
                                        stay.chamber(),
                                        row.beganOn().isAfter(stay.from()) ? row.beganOn() : stay.from(),
                                        stay.until().plusDays(scent.lingersDays()))))
                        .ifPresent(all::add);
            }
            return all;
        }

        private Optional<Stay> stay(Piece piece, PieceLog log) {
            if (piece.chamber().isEmpty() || piece.hungOn().isEmpty()) {
                return Optional.empty();
            }
            LocalDate until =
                    log.pull().map(pull -> pull.at().atZone(zone).toLocalDate()).orElse(today);
            return Optional.of(new Stay(
                    piece.id(),
                    piece.chamber().map(Chamber::id).orElseThrow(),
                    piece.hungOn().orElseThrow(),
                    until));
        }

        /** What stood beside a piece, as {@code smoke (6A, 6B)}; nothing that it gives off itself. */
        public List<String> beside(Piece piece, PieceLog log) {
            return words(stay(piece, log).stream()
                    .flatMap(stay -> scented.stream().filter(each -> each.meets(stay)))
                    .filter(each -> scented.stream()
                            .noneMatch(own -> own.piece().id().equals(piece.id()) && own.scent() == each.scent()))
                    .toList());
        }

        private List<Scented> in(Chamber chamber) {
            return scented.stream()
                    .filter(each ->
                            each.chamber().equals(chamber.id()) && !each.until().isBefore(today))
                    .toList();
        }
    }

    /** By scent, the pieces it comes from. */
    private static List<String> words(List<Scented> all) {
        Map<Scent, List<String>> tags = all.stream()
                .collect(Collectors.groupingBy(
                        Scented::scent,
                        TreeMap::new,
                        Collectors.mapping(each -> each.piece().tag(), Collectors.toList())));
        return tags.entrySet().stream()
                .map(each -> "%s (%s)"
                        .formatted(
                                each.getKey().label(),
                                each.getValue().stream().distinct().sorted().collect(Collectors.joining(", "))))
                .toList();
    }

    public Air air() {
        return new Air();
    }

    @Override
    public List<Question> onHangingIn(Chamber chamber) {
        List<Scented> there = air().in(chamber);
        return there.isEmpty()
                ? List.of()
                : List.of(Question.confirm(
                        "scented-chamber",
                        "chamberId",
                        "%s holds %s, which scents everything beside it. Hang it there all the same?"
                                .formatted(chamber.name(), String.join(" and ", words(there)))));
    }

    @Override
    public List<String> beside(Piece piece) {
        return air().beside(piece, logs.of(List.of(piece)).get(piece.id())).stream()
                .map("Beside it stood %s: it may have taken the scent on."::formatted)
                .toList();
    }
}
