package elvaro.server.tasting;

import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads tastings whole. */
@Component
class TastingAggregates {
    private final TastingRepository tastings;

    TastingAggregates(TastingRepository tastings) {
        this.tastings = tastings;
    }

    TastingAggregate one(UUID id) {
        Tasting tasting = tastings.findById(id).orElseThrow(() -> Refusal.notFound("tasting"));
        return all(List.of(tasting)).get(0);
    }

    List<TastingAggregate> all(List<Tasting> asked) {
        if (asked.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = asked.stream().map(Tasting::id).toList();
        Map<UUID, List<TastingSample>> samples =
                tastings.samplesOf(ids).stream().collect(Collectors.groupingBy(TastingSample::tastingId));
        Map<UUID, List<TastingPlace>> places =
                tastings.placesOf(ids).stream().collect(Collectors.groupingBy(TastingPlace::tastingId));
        Map<UUID, List<TastingSheet>> sheets =
                tastings.sheetsOf(ids).stream().collect(Collectors.groupingBy(TastingSheet::tastingId));
        return asked.stream()
                .map(tasting -> TastingAggregate.of(
                        tasting,
                        samples.getOrDefault(tasting.id(), List.of()),
                        places.getOrDefault(tasting.id(), List.of()),
                        sheets.getOrDefault(tasting.id(), List.of())))
                .toList();
    }
}
