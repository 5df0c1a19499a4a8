package elvaro.server.tasting;

import elvaro.core.tasting.Servings.Plate;
import elvaro.core.tasting.Servings.Serving;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.tasting.Seats.Seat;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes sheets in, from phones and from paper. */
@Service
@Transactional
class SheetService {
    private final TastingRepository tastings;
    private final Seats seats;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    SheetService(
            TastingRepository tastings, Seats seats, CurrentWorkshop current, EntityManager entities, Clock clock) {
        this.tastings = tastings;
        this.seats = seats;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Takes a sheet in; sent again, it is there once.
     *
     * @param typedBy who types a paper sheet; absent for a phone
     * @throws Refusal if the round was handed in already, the tasting is not open, or it answers something else
     */
    void take(UUID tastingId, UUID placeId, UUID sheetId, SheetForm form, @Nullable UUID typedBy) {
        // The tasting first, as the reveal does, so that neither waits for the other.
        Tasting tasting =
                tastings.share(current.person().workshopId(), tastingId).orElseThrow(() -> Refusal.notFound("tasting"));
        Seat seat = seats.lock(placeId, form.round());
        if (seat.handedIn() != null) {
            if (seat.handedIn().equals(sheetId)) {
                return;
            }
            throw Refusal.conflict(
                    "handed-in", "This round was handed in already. The first sheet counts and stays as it was.");
        }
        tasting.mustTakeSheets(clock.instant());
        if (form.round() >= tasting.rounds()) {
            throw Refusal.wrong("other-codes", "round", "There is no such round. Load the page again.");
        }
        Plate plate = tasting.servings(seat.samples().size(), seat.places()).of(seat.position(), form.round());
        keep(sheetId, placeId, plate, tasting, seat.samples(), form, clock.instant(), typedBy);
    }

    /** Writes a sheet and its words. */
    void keep(
            UUID sheetId,
            UUID placeId,
            Plate plate,
            Tasting tasting,
            List<UUID> samples,
            SheetForm form,
            Instant at,
            @Nullable UUID typedBy) {
        SheetAnswers answers = form.answering(tasting.kind(), tasting.attributes(), plate);
        TastingSheet sheet = new TastingSheet(
                sheetId,
                tasting.id(),
                placeId,
                form.round(),
                answers,
                form.knew(),
                at.truncatedTo(ChronoUnit.MICROS),
                typedBy);
        entities.persist(sheet);
        entities.flush();
        for (Serving serving : plate.servings()) {
            String words = form.words().getOrDefault(serving.code(), "").strip();
            if (!words.isEmpty()) {
                entities.persist(new TastingNote(
                        Ids.after(sheetId, "words " + serving.code()), sheet, samples.get(serving.sample()), words));
            }
        }
    }

    /** From paper, for a place of this tasting; by its host, who alone knows which codes lie where. */
    void type(UUID tastingId, UUID placeId, UUID sheetId, SheetForm form, UUID typedBy) {
        Tasting tasting = tastings.findById(tastingId).orElseThrow(() -> Refusal.notFound("tasting"));
        if (!tasting.hostId().equals(typedBy)) {
            throw Refusal.conflict("not-host", "Only the host of a tasting types paper sheets in.");
        }
        tastings.placesOf(List.of(tastingId)).stream()
                .filter(place -> place.id().equals(placeId))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("place"));
        take(tastingId, placeId, sheetId, form, typedBy);
    }
}
