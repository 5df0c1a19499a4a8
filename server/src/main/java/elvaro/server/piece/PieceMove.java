package elvaro.server.piece;

import elvaro.server.chamber.Chamber;
import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** From where to where a piece was moved, under the id of the log entry that says when and by whom. Written once. */
@Entity
@Immutable
@Chained("move")
@Table(name = "piece_move")
@NullUnmarked
public class PieceMove extends WorkshopRow {
    private UUID pieceId;

    @ManyToOne(optional = false)
    @JoinColumn(name = "from_chamber_id")
    private Chamber from;

    @ManyToOne(optional = false)
    @JoinColumn(name = "to_chamber_id")
    private Chamber to;

    protected PieceMove() {}

    PieceMove(UUID entryId, UUID pieceId, Chamber from, Chamber to) {
        super(entryId);
        this.pieceId = pieceId;
        this.from = from;
        this.to = to;
    }

    public Chamber from() {
        return from;
    }

    public Chamber to() {
        return to;
    }
}
