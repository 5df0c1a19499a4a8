package elvaro.server.hanging;

import static elvaro.core.working.Quantity.limit;
import static elvaro.core.working.Quantity.mass;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Method;
import elvaro.core.question.Question;
import elvaro.server.chamber.Chamber;
import elvaro.server.piece.Piece;
import elvaro.server.piece.Place;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What hangs in a chamber while more is hung there. */
final class Occupancy {
    private final Chamber chamber;
    private final long load;
    private final Set<Place> taken;

    /** @param there what hangs in it */
    Occupancy(Chamber chamber, List<Piece> there) {
        this.chamber = chamber;
        load = there.stream().mapToLong(Piece::greenGrams).sum();
        taken = there.stream().flatMap(piece -> piece.place().stream()).collect(Collectors.toCollection(HashSet::new));
    }

    Chamber chamber() {
        return chamber;
    }

    /** The next free place, which is taken from now on. */
    Place takePlace() {
        Place place = Place.firstFree(chamber, taken);
        taken.add(place);
        return place;
    }

    /**
     * What is odd about hanging more.
     *
     * @param moreGrams what comes, g
     * @param methods of what comes
     */
    List<Question> questions(long moreGrams, Collection<Method> methods) {
        List<Question> questions = new ArrayList<>();
        long whole = load + moreGrams;
        if (whole > chamber.limitGrams()) {
            questions.add(Question.reason(
                    "overload",
                    "chamberId",
                    "%s would carry %s and is made for %s. Air must reach every face."
                            .formatted(chamber.name(), mass(whole), limit(chamber.limitGrams()))));
        }
        boolean ice = chamber.kind() == ChamberKind.ICE_CHEST;
        if (methods.stream().anyMatch(method -> (method == Method.ON_ICE) != ice)) {
            questions.add(Question.confirm(
                    "method-chamber",
                    "method",
                    ice
                            ? "%s holds ice. Is the method right?".formatted(chamber.name())
                            : "%s holds no ice. Is the method right?".formatted(chamber.name())));
        }
        return questions;
    }
}
