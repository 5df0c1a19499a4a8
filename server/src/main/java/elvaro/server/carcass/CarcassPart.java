package elvaro.server.carcass;

import elvaro.core.game.Part;
import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** Which part of which animal a piece is; its id is the piece's. */
@Entity
@Immutable
@Chained("part of a carcass")
@Table(name = "carcass_part")
@NullUnmarked
class CarcassPart extends WorkshopRow {
    private UUID carcassId;

    @Enumerated(EnumType.STRING)
    private Part part;

    protected CarcassPart() {}

    CarcassPart(UUID pieceId, UUID carcassId, Part part) {
        super(pieceId);
        this.carcassId = carcassId;
        this.part = part;
    }

    UUID carcassId() {
        return carcassId;
    }

    Part part() {
        return part;
    }
}
