package elvaro.server.task;

import elvaro.core.game.Ice;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * The ice of each piece that lies in a chest with others.
 *
 * @param grams what lies in each chamber
 */
record Chests(Map<UUID, Long> grams) {

    /** @param room all that hangs or lies */
    static Chests of(List<HangingPiece> room) {
        return new Chests(room.stream()
                .map(HangingPiece::piece)
                .filter(piece -> piece.state() == PieceState.HANGING)
                .collect(Collectors.groupingBy(
                        piece -> piece.chamber().orElseThrow().id(), Collectors.summingLong(Piece::greenGrams))));
    }

    Optional<Ice> ice(Piece piece) {
        return piece.chamber().flatMap(chest -> piece.ice(grams.getOrDefault(chest.id(), 0L)));
    }
}
