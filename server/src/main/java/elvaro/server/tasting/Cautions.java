package elvaro.server.tasting;

import elvaro.core.cooking.LeastCore;
import elvaro.core.cut.Species;
import elvaro.server.hanging.PieceQueries;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What the table must be told about the core that is aimed at. */
@Component
class Cautions {
    private final PieceQueries pieces;

    Cautions(PieceQueries pieces) {
        this.pieces = pieces;
    }

    /** One for each kind of animal; for beef where no piece says what it is. */
    List<String> of(Collection<UUID> pieceIds, double coreCelsius) {
        List<Species> species = pieceIds.stream()
                .map(id -> pieces.find(id).cut().species())
                .distinct()
                .sorted()
                .collect(Collectors.toList());
        if (species.isEmpty()) {
            species.add(Species.BEEF);
        }
        return species.stream()
                .flatMap(each -> LeastCore.caution(each, coreCelsius).stream())
                .toList();
    }
}
