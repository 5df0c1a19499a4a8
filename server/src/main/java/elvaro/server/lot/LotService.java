package elvaro.server.lot;

import elvaro.core.cut.Arrival;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.question.PastDay;
import elvaro.core.question.Question;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Receiving lots, and correcting what was entered about them. */
@Service
@Transactional
public class LotService {
    private static final String WHY = "why-changed";

    private final LotRepository lots;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final BoxService boxes;

    LotService(LotRepository lots, DecisionService decisions, WorkshopService workshops, BoxService boxes) {
        this.lots = lots;
        this.decisions = decisions;
        this.workshops = workshops;
        this.boxes = boxes;
    }

    @Transactional(readOnly = true)
    public Lot get(UUID id) {
        return lots.findById(id).orElseThrow(() -> Refusal.notFound("lot"));
    }

    /** The lot, with nobody else changing it until the caller's transaction ends. */
    public Lot lock(UUID id) {
        return lots.lock(id).orElseThrow(() -> Refusal.notFound("lot"));
    }

    /** Keeps everything of a lot from being packed, sold or tasted, or lets it go on. */
    public void hold(UUID id, @Nullable String because) {
        lock(id).hold(because);
    }

    @Transactional(readOnly = true)
    public List<Lot> newest() {
        return lots.newest();
    }

    /** Received from the first to the last day, by their numbers. */
    @Transactional(readOnly = true)
    public List<Lot> received(LocalDate first, LocalDate last) {
        return lots.received(first, last);
    }

    /** What was paid for each cut the last time, minor units a kilogram, by the code of the cut. */
    @Transactional(readOnly = true)
    public Map<String, Integer> lastPaid() {
        return lots.newest().stream()
                .filter(lot -> lot.priceMinorPerKg() != null && lot.priceMinorPerKg() > 0)
                .collect(Collectors.toMap(
                        lot -> lot.cut().code(),
                        lot -> Objects.requireNonNull(lot.priceMinorPerKg()),
                        (newest, older) -> newest));
    }

    @Transactional(readOnly = true)
    public List<String> suppliers() {
        return lots.suppliers();
    }

    /** Takes a lot in; a retry of the same request finds it there. */
    public Lot receive(LotForm form) {
        workshops.lock();
        Optional<Lot> known = lots.findById(form.id());
        if (known.isPresent()) {
            return known.get();
        }
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(questions(form, null));
        Lot lot = lots.save(new Lot(workshops.takeLotNumber(), form));
        decisions.keep(lot.id(), null, settled);
        boxes.remember(form);
        return lot;
    }

    /**
     * Corrects what was entered. Once meat of it hangs, a reason is asked for; old and new stand in the record.
     *
     * @param piecesGrams what already hangs of it, which the lot cannot weigh less than
     */
    public Lot change(LotForm form, int piecesGrams) {
        Lot lot = lock(form.id());
        if (form.receivedGrams() < piecesGrams) {
            throw Refusal.wrong(
                    "below-pieces", "receivedGrams", "The pieces cut from this lot weigh more than that already.");
        }
        List<Question> asked = new ArrayList<>(questions(form, lot));
        List<String> otherwise = piecesGrams > 0 ? lot.otherwise(form) : List.of();
        if (!otherwise.isEmpty()) {
            asked.add(Question.reason(
                    WHY,
                    "",
                    "Meat of this lot hangs or hung. Why is its %s changed? The record shows what it was before."
                            .formatted(String.join(", its ", otherwise))));
        }
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(asked);
        lot.change(form, otherwise.isEmpty() ? "" : form.answers().get(WHY).strip());
        decisions.keep(
                lot.id(),
                null,
                settled.stream()
                        .filter(answer -> !answer.question().id().equals(WHY))
                        .toList());
        return lots.save(lot);
    }

    /** @param before as it was written down; absent for one that comes in */
    private List<Question> questions(LotForm form, @Nullable Lot before) {
        List<Question> questions = new ArrayList<>(questionsOfDays(form, before));
        questions.addAll(questionsOfArrival(form));
        return questions;
    }

    private List<Question> questionsOfArrival(LotForm form) {
        Cut cut = CutCatalogue.find(form.cutCode())
                .orElseThrow(() -> Refusal.wrong("unknown-cut", "cutCode", "Choose a cut from the list."));
        if (form.receivedOn().isAfter(workshops.today())) {
            throw Refusal.wrong("future-date", "receivedOn", "The day it came cannot lie in the future.");
        }
        if (form.packedOn() != null && form.packedOn().isAfter(form.receivedOn())) {
            throw Refusal.wrong("packed-after-arrival", "packedOn", "It cannot have been packed after it came.");
        }
        Optional<Long> daysSincePacked =
                Optional.ofNullable(form.packedOn()).map(day -> ChronoUnit.DAYS.between(day, form.receivedOn()));
        Arrival arrival =
                new Arrival(cut, form.receivedGrams(), Optional.ofNullable(form.arrivalCelsius()), daysSincePacked);
        // What came in boxes is several pieces, and their labels say what they weigh.
        return form.article() == null
                ? arrival.questions()
                : arrival.questions().stream()
                        .filter(question -> !question.id().equals(Arrival.WEIGHT_UNUSUAL))
                        .toList();
    }

    /** Asked of a day that is new: a lot of years ago that is only put right otherwise was asked about when it came. */
    private List<Question> questionsOfDays(LotForm form, @Nullable Lot before) {
        LocalDate today = workshops.today();
        if (form.packedOn() != null
                && (before == null || !form.packedOn().equals(before.packedOn()))
                && new PastDay(form.packedOn(), today).isTooLongAgo()) {
            throw Refusal.wrong("too-long-ago", "packedOn", PastDay.TOO_LONG_AGO);
        }
        if (before != null && form.receivedOn().equals(before.receivedOn())) {
            return List.of();
        }
        PastDay came = new PastDay(form.receivedOn(), today);
        if (came.isTooLongAgo()) {
            throw Refusal.wrong("too-long-ago", "receivedOn", PastDay.TOO_LONG_AGO);
        }
        return came.question("receivedOn").stream().toList();
    }
}
