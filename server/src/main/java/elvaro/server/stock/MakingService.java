package elvaro.server.stock;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.blend.Made;
import elvaro.core.question.Question;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.stock.MakingForm.UsedForm;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Grinding and rendering: what goes in leaves its packs, what comes out is a lot of its own. */
@Service
@Transactional
class MakingService {
    private final PackRepository packs;
    private final StockService stock;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    MakingService(
            PackRepository packs,
            StockService stock,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.packs = packs;
        this.stock = stock;
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Makes it once, however often it is sent: all of it or nothing.
     *
     * @throws Refusal if a pack does not hold so much, or more came out than went in
     */
    void make(UUID id, MakingForm form) {
        workshops.lock(); // Numbers go up one by one.
        if (packs.making(id).isPresent()) {
            return;
        }
        mustAddUp(form);
        Making making = new Making(
                        id,
                        packs.lastMakingNumber() + 1,
                        form.product(),
                        clock.instant().truncatedTo(ChronoUnit.MICROS),
                        current.person().accountId())
                .weighing(form.grams(), form.words());
        entities.persist(making);
        entities.flush(); // Its sources point at it by id alone.
        Map<UUID, Pack> used = lock(form);
        WithdrawalPurpose way = switch (form.product()) {
            case GRIND -> WithdrawalPurpose.GRIND;
            case TALLOW -> WithdrawalPurpose.RENDER;
            case JAR -> WithdrawalPurpose.GATHER;
        };
        for (int index = 0; index < form.sources().size(); index++) {
            UsedForm source = form.sources().get(index);
            UUID sourceId = Ids.after(id, "source " + index);
            if (source.packId() == null) {
                entities.persist(
                        new MakingBought(sourceId, id, source.name(), source.grams(), source.priceMinorPerKg()));
            } else {
                Pack pack = Objects.requireNonNull(used.get(source.packId()));
                entities.persist(stock.takeOut(pack, sourceId, way, source.grams(), making.name())
                        .into(id));
            }
        }
        entities.flush();
    }

    private void mustAddUp(MakingForm form) {
        if (form.sources().stream()
                .anyMatch(source -> source.packId() == null && source.name().isBlank())) {
            throw Refusal.wrong("no-name", "sources", "Bought meat has a name.");
        }
        if (form.sources().stream().allMatch(source -> source.packId() == null)) {
            throw Refusal.wrong("no-pack", "sources", "At least one of your own packs goes in.");
        }
        int in = form.sources().stream().mapToInt(UsedForm::grams).sum();
        Made made = new Made(form.product(), in, form.grams());
        mustBePossible(made, form.sources().size() + 1);
        List<Question> questions = made.question().map(List::of).orElse(List.of());
        Answers.of(form.answers()).settle(questions);
    }

    private void mustBePossible(Made made, int weighings) {
        if (made.isImpossible(workshops.mine().divisionGrams(), weighings)) {
            throw Refusal.wrong(
                    "more-than-in",
                    "grams",
                    "Only %s went in; %s cannot have come out.".formatted(mass(made.in()), mass(made.out())));
        }
    }

    private Map<UUID, Pack> lock(MakingForm form) {
        List<UUID> ids = form.sources().stream()
                .map(UsedForm::packId)
                .filter(Objects::nonNull)
                .toList();
        if (ids.stream().distinct().count() < ids.size()) {
            throw Refusal.wrong("twice", "sources", "A pack stands there twice.");
        }
        Map<UUID, Pack> locked = packs.lockAll(ids).stream().collect(Collectors.toMap(Pack::id, Function.identity()));
        if (locked.size() < ids.size()) {
            throw Refusal.notFound("pack");
        }
        return locked;
    }

    /**
     * Corrects what came out.
     *
     * @throws Refusal if more was packed, more came out than went in, or somebody changed it meanwhile
     */
    void correct(UUID id, int version, int grams, String words) {
        workshops.lock();
        Making making = standing(id);
        making.mustStillBe(version);
        List<Pack> made = packs.ofMakings(List.of(id));
        int packed = made.stream().mapToInt(Pack::grams).sum();
        int division = workshops.mine().divisionGrams();
        if (packed > grams + division * made.size()) {
            throw Refusal.wrong("packed-more", "grams", "%s of it is packed already.".formatted(mass(packed)));
        }
        List<PackOut> into = packs.into(List.of(id));
        List<MakingBought> bought = packs.bought(List.of(id));
        int in = into.stream().mapToInt(PackOut::grams).sum()
                + bought.stream().mapToInt(MakingBought::grams).sum();
        mustBePossible(new Made(making.product(), in, grams), into.size() + bought.size() + 1);
        making.weighing(grams, words);
        entities.flush();
    }

    /** Puts everything back into its packs; nothing of it may have been packed. */
    void undo(UUID id) {
        workshops.lock();
        Making making = packs.making(id).orElseThrow(() -> Refusal.notFound("making"));
        if (making.isUndone()) {
            return;
        }
        if (!packs.ofMakings(List.of(id)).isEmpty()) {
            throw Refusal.conflict("packed", "Packs were made of it. It can only be corrected.");
        }
        List<PackOut> into = packs.into(List.of(id));
        packs.lockAll(into.stream().map(PackOut::packId).collect(Collectors.toSet()));
        into.forEach(
                out -> entities.persist(stock.back(out, Ids.after(out.id(), "undone"), making.name() + " undone")));
        making.undo();
        entities.flush();
    }

    private Making standing(UUID id) {
        Making making = packs.making(id).orElseThrow(() -> Refusal.notFound("making"));
        if (making.isUndone()) {
            throw Refusal.conflict("undone", "%s was undone.".formatted(making.name()));
        }
        return making;
    }
}
