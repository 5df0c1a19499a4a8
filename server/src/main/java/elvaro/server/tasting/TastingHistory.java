package elvaro.server.tasting;

import elvaro.core.cooking.Heat;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Finish;
import elvaro.core.tasting.Servings.Plate;
import elvaro.core.tasting.Servings.Serving;
import elvaro.core.tasting.TastingKind;
import elvaro.server.settings.HouseClock;
import elvaro.server.shared.Ids;
import elvaro.server.tasting.TastingForm.SampleForm;
import elvaro.server.tasting.TastingForm.TasterForm;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes in tastings as they were held. The person who acts was their host. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class TastingHistory {
    private static final int DINNER = 19;

    private final TastingRepository tastings;
    private final TastingService service;
    private final SheetService sheets;
    private final EntityManager entities;

    TastingHistory(TastingRepository tastings, TastingService service, SheetService sheets, EntityManager entities) {
        this.tastings = tastings;
        this.service = service;
        this.sheets = sheets;
        this.entities = entities;
    }

    /** @param coreCelsius as measured */
    public record PastSample(
            String name, UUID pieceId, @Nullable UUID armId, int thicknessMm, boolean thawed, double coreCelsius) {}

    /** A sheet by samples, counted from 0. */
    public record PastSheet(
            @Nullable Integer picked,
            Map<Integer, Integer> ranks,
            Map<String, Map<Integer, Integer>> scores,
            Map<Integer, String> words,
            boolean knew) {}

    /**
     * A tasting as it was.
     *
     * @param sheets by taster, one for each round; fewer where the tasting still goes on
     * @param revealed whether it is over
     */
    public record PastTasting(
            UUID id,
            String question,
            TastingKind kind,
            int rounds,
            List<Attribute> attributes,
            long seed,
            @Nullable UUID trialId,
            double coreCelsius,
            String seasoning,
            LocalDate heldOn,
            List<PastSample> samples,
            List<String> tasters,
            List<List<PastSheet>> sheets,
            boolean revealed) {}

    /** @param openedAt absent for the evening it was held */
    public void add(PastTasting past, HouseClock house, @Nullable Instant openedAt) {
        Tasting tasting = service.lay(past.id(), form(past), past.seed(), !past.revealed());
        Instant at = openedAt == null ? house.at(past.heldOn(), LocalTime.of(DINNER, 0)) : openedAt;
        tasting.open(at, past.heldOn());
        TastingAggregate laid = TastingAggregate.of(
                tasting, tastings.samplesOf(List.of(past.id())), tastings.placesOf(List.of(past.id())), List.of());
        for (int sample = 0; sample < past.samples().size(); sample++) {
            PastSample each = past.samples().get(sample);
            laid.samples().get(sample).cooked(each.thicknessMm(), each.thawed(), true, each.coreCelsius(), null);
        }
        List<UUID> samples = laid.samples().stream().map(TastingSample::id).toList();
        for (TastingPlace place : laid.places()) {
            List<PastSheet> own = past.sheets().get(place.position());
            for (int round = 0; round < own.size(); round++) {
                Plate plate = laid.plate(place, round);
                UUID sheetId = Ids.after(place.id(), "round " + round);
                sheets.keep(sheetId, place.id(), plate, tasting, samples, byCodes(own.get(round), plate), at, null);
            }
        }
        if (past.revealed()) {
            tasting.reveal();
        }
        entities.flush();
    }

    private TastingForm form(PastTasting past) {
        return new TastingForm(
                past.question(),
                past.kind(),
                past.rounds(),
                past.attributes(),
                IntStream.range(0, past.samples().size())
                        .mapToObj(index -> form(past, index))
                        .toList(),
                IntStream.range(0, past.tasters().size())
                        .mapToObj(index -> new TasterForm(
                                Ids.after(past.id(), "place " + index),
                                known(past.tasters().get(index)),
                                past.tasters().get(index)))
                        .toList(),
                past.trialId(),
                Heat.BATH,
                past.coreCelsius(),
                null,
                null,
                5,
                past.seasoning());
    }

    private static SampleForm form(PastTasting past, int index) {
        PastSample sample = past.samples().get(index);
        return new SampleForm(
                Ids.after(past.id(), "sample " + index),
                sample.name(),
                sample.pieceId(),
                sample.armId(),
                sample.thicknessMm(),
                sample.thawed(),
                Finish.NOTHING);
    }

    private @Nullable UUID known(String name) {
        return tastings.tasters().stream()
                .filter(taster -> taster.label().equals(name))
                .map(Taster::id)
                .findFirst()
                .orElse(null);
    }

    private static SheetForm byCodes(PastSheet sheet, Plate plate) {
        Map<Integer, Integer> codes = new HashMap<>();
        for (Serving serving : plate.servings()) {
            codes.putIfAbsent(serving.sample(), serving.code());
        }
        Map<String, Map<Integer, Integer>> scores = new HashMap<>();
        sheet.scores().forEach((attribute, values) -> scores.put(attribute, byCodes(values, codes)));
        Map<Integer, String> words = new HashMap<>();
        sheet.words().forEach((sample, said) -> words.put(codes.get(sample), said));
        return new SheetForm(
                plate.round(),
                sheet.picked() == null ? null : codes.get(sheet.picked()),
                byCodes(sheet.ranks(), codes),
                scores,
                words,
                sheet.knew());
    }

    private static Map<Integer, Integer> byCodes(Map<Integer, Integer> values, Map<Integer, Integer> codes) {
        Map<Integer, Integer> all = new HashMap<>();
        values.forEach((sample, value) -> all.put(codes.get(sample), value));
        return all;
    }
}
