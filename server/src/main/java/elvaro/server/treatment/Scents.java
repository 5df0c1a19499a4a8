package elvaro.server.treatment;

import elvaro.core.question.Question;
import elvaro.core.treatment.Scent;
import elvaro.server.chamber.Chamber;
import elvaro.server.hanging.Neighbours;
import elvaro.server.hanging.StayService;
import elvaro.server.hanging.StayService.StayIn;
import elvaro.server.piece.Piece;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.treatment.TreatmentRepository.ScentRow;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Spirit and smoke, and what stands or stood beside them, in every chamber they hung in. */
@Service
@Transactional(readOnly = true)
public class Scents implements Neighbours {
    private final TreatmentRepository rows;
    private final StayService hung;
    private final WorkshopService workshops;

    Scents(TreatmentRepository rows, StayService hung, WorkshopService workshops) {
        this.rows = rows;
        this.hung = hung;
        this.workshops = workshops;
    }

    /** A piece that gives off a scent, and when a chamber had it. */
    private record Scented(Piece piece, Scent scent, UUID chamber, LocalDate from, LocalDate until) {
        private boolean meets(StayIn stay, HouseClock house) {
            return !piece.id().equals(stay.piece().id())
                    && chamber.equals(stay.chamber().id())
                    && !from.isAfter(day(stay.to(), house))
                    && !until.isBefore(day(stay.from(), house));
        }
    }

    private static LocalDate day(Instant at, HouseClock house) {
        return house.day(at);
    }

    /** Everything in the workshop that gives a scent off, and where some pieces stood: read once for all of them. */
    public final class Air {
        private final HouseClock house = workshops.mine().clock();
        private final LocalDate today = workshops.today();
        private final Map<UUID, List<StayIn>> stays;
        private final List<Scented> scented;

        private Air(Collection<UUID> asked) {
            List<ScentRow> given = rows.scenting(Scent.KINDS);
            stays = hung.stays(Stream.concat(asked.stream(), given.stream().map(ScentRow::pieceId))
                    .collect(Collectors.toSet()));
            scented = given.stream()
                    .flatMap(row -> Scent.of(row.kind(), row.spirit()).stream().flatMap(scent -> given(row, scent)))
                    .toList();
        }

        private Stream<Scented> given(ScentRow row, Scent scent) {
            return stays.getOrDefault(row.pieceId(), List.of()).stream()
                    .filter(stay -> !day(stay.to(), house).isBefore(row.beganOn()))
                    .map(stay -> new Scented(
                            stay.piece(),
                            scent,
                            stay.chamber().id(),
                            row.beganOn().isAfter(day(stay.from(), house)) ? row.beganOn() : day(stay.from(), house),
                            day(stay.to(), house).plusDays(scent.lingersDays())));
        }

        /** What stood beside a piece that was asked about, as {@code smoke (6A, 6B)}; nothing that it gives off itself. */
        public List<String> beside(UUID piece) {
            Set<Scent> own = scented.stream()
                    .filter(each -> each.piece().id().equals(piece))
                    .map(Scented::scent)
                    .collect(Collectors.toSet());
            return words(stays.getOrDefault(piece, List.of()).stream()
                    .flatMap(stay -> scented.stream().filter(each -> each.meets(stay, house)))
                    .filter(each -> !own.contains(each.scent()))
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

    /** @param asked ids of the pieces that will be asked about */
    public Air air(Collection<UUID> asked) {
        return new Air(asked);
    }

    @Override
    public List<Question> onHangingIn(Chamber chamber) {
        List<Scented> there = air(List.of()).in(chamber);
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
        return air(List.of(piece.id())).beside(piece.id()).stream()
                .map("Beside it stood %s: it may have taken the scent on."::formatted)
                .toList();
    }
}
