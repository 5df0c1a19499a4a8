package elvaro.server.look;

import elvaro.core.inspection.Observation;
import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.Collection;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** What was seen, under the id of the log entry that says when and by whom. Written once. */
@Entity
@Immutable
@Chained("look")
@Table(name = "look")
@NullUnmarked
class Look extends WorkshopRow {
    private UUID pieceId;

    @Enumerated(EnumType.STRING)
    private Observation.Colour colour;

    @Enumerated(EnumType.STRING)
    private Observation.SurfaceFeel surface;

    private String moulds;

    @Enumerated(EnumType.STRING)
    private Observation.Extent extent;

    @Enumerated(EnumType.STRING)
    private Observation.Smell smell;

    private String spots;

    @Enumerated(EnumType.STRING)
    private Observation.Depth depth;

    private int liftedPercent;
    private boolean sealOpen;

    protected Look() {}

    Look(UUID entryId, UUID pieceId, Observation seen) {
        super(entryId);
        this.pieceId = pieceId;
        this.colour = seen.colour();
        this.surface = seen.surface();
        this.moulds = names(seen.moulds());
        this.extent = seen.extent();
        this.smell = seen.smell();
        this.spots = names(seen.spots());
        this.depth = seen.depth();
        this.liftedPercent = seen.liftedPercent();
        this.sealOpen = seen.sealOpen();
    }

    Observation seen() {
        return new Observation(
                colour,
                surface,
                constants(moulds, Observation.Mould::valueOf),
                extent,
                smell,
                constants(spots, Observation.Spot::valueOf),
                depth,
                liftedPercent,
                sealOpen);
    }

    UUID pieceId() {
        return pieceId;
    }

    private static String names(Collection<? extends Enum<?>> constants) {
        return constants.stream().map(Enum::name).sorted().collect(Collectors.joining(","));
    }

    private static <E> Set<E> constants(String names, Function<String, E> constant) {
        return Arrays.stream(names.split(","))
                .filter(name -> !name.isEmpty())
                .map(constant)
                .collect(Collectors.toSet());
    }
}
