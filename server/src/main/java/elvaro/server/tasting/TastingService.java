package elvaro.server.tasting;

import elvaro.core.cooking.CookAlike;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.PanelPower;
import elvaro.core.tasting.TastingKind;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Secret;
import elvaro.server.tasting.TastingForm.SampleForm;
import elvaro.server.tasting.TastingForm.TasterForm;
import jakarta.persistence.EntityManager;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Setting the table, opening it, and the reveal. */
@Service
@Transactional
class TastingService {
    private final TastingRepository tastings;
    private final PieceQueries pieces;
    private final Cautions cautions;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    TastingService(
            TastingRepository tastings,
            PieceQueries pieces,
            Cautions cautions,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.tastings = tastings;
        this.pieces = pieces;
        this.cautions = cautions;
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /** What a tasting begins with that is of no trial. @param pieceIds what is tasted; empty where it is still to be said */
    @Transactional(readOnly = true)
    FirstTasting first(List<UUID> pieceIds) {
        return FirstTasting.usual(pieceIds.stream().map(pieces::find).toList());
    }

    /**
     * What a tasting that is only planned can show.
     *
     * @param power by the panel
     * @param hints what would give a sample away, or tire the tongues
     * @param cautions about the core aimed at
     */
    record TastingCheck(PanelPower power, List<String> hints, List<String> cautions) {}

    /** @throws Refusal if it cannot be held at all */
    @Transactional(readOnly = true)
    TastingCheck check(TastingForm form) {
        mustFit(form);
        return new TastingCheck(
                PanelPower.of(form.kind(), form.samples().size(), form.tasters().size(), form.rounds()),
                Hints.of(form),
                cautions.of(
                        form.samples().stream()
                                .flatMap(sample -> java.util.stream.Stream.ofNullable(sample.pieceId()))
                                .toList(),
                        form.coreCelsius()));
    }

    private static void mustFit(TastingForm form) {
        TastingKind kind = form.kind();
        int samples = form.samples().size();
        if (samples < kind.fewest() || samples > kind.most()) {
            throw Refusal.wrong(
                    "samples",
                    "samples",
                    kind.fewest() == kind.most()
                            ? "This way of asking takes %d samples.".formatted(kind.fewest())
                            : "This way of asking takes %d to %d samples.".formatted(kind.fewest(), kind.most()));
        }
        if (form.samples().stream()
                        .map(SampleForm::name)
                        .map(String::strip)
                        .distinct()
                        .count()
                < samples) {
            throw Refusal.wrong("same-name", "samples", "Give every sample a name of its own.");
        }
        if (form.attributes().stream().map(Attribute::key).distinct().count()
                < form.attributes().size()) {
            throw Refusal.wrong("same-attribute", "attributes", "An attribute stands there twice.");
        }
        if (kind.mustSayScores() && form.attributes().isEmpty()) {
            throw Refusal.wrong("no-attribute", "attributes", "Choose what is scored.");
        }
        if (!kind.maySayScores() && !form.attributes().isEmpty()) {
            throw Refusal.wrong(
                    "no-scores", "attributes", "With the odd one nothing is scored: it would be looked for.");
        }
        long tasters = form.tasters().stream()
                .map(taster -> taster.tasterId() == null ? taster.id() : taster.tasterId())
                .distinct()
                .count();
        if (tasters < form.tasters().size()) {
            throw Refusal.wrong("same-taster", "tasters", "A taster sits at one place only.");
        }
    }

    /** Sets a table; sent again, it happens once. */
    void create(UUID id, TastingForm form) {
        workshops.lock(); // A retry finds what the first one kept.
        if (tastings.findById(id).isPresent()) {
            return;
        }
        mustFit(form);
        form.samples().stream()
                .flatMap(sample -> java.util.stream.Stream.ofNullable(sample.pieceId()))
                .forEach(piece -> pieces.find(piece).lot().mustNotBeHeld());
        lay(id, form, seeds.nextLong(), true);
    }

    /** @param withLinks whether phones shall be able to answer */
    Tasting lay(UUID id, TastingForm form, long seed, boolean withLinks) {
        Tasting tasting =
                tastings.save(new Tasting(id, form, seed, current.person().accountId(), workshops.today()));
        entities.flush(); // What its rows point at is written first.
        List<Taster> tasters = form.tasters().stream().map(this::taster).toList();
        entities.flush();
        for (int position = 0; position < form.samples().size(); position++) {
            entities.persist(new TastingSample(id, position, form.samples().get(position)));
        }
        for (int position = 0; position < tasters.size(); position++) {
            entities.persist(new TastingPlace(
                    form.tasters().get(position).id(),
                    id,
                    position,
                    tasters.get(position),
                    withLinks ? Secret.make() : null));
        }
        entities.flush();
        return tasting;
    }

    private Taster taster(TasterForm form) {
        if (form.tasterId() != null) {
            return tastings.taster(form.tasterId())
                    .filter(taster -> !taster.forgotten())
                    .orElseThrow(() -> Refusal.notFound("taster"));
        }
        Taster taster = new Taster(Ids.after(form.id(), "taster"), form.name());
        entities.persist(taster);
        return taster;
    }

    /** Lets the phones in. */
    void open(UUID id, int version) {
        Tasting tasting = mine(id, version);
        tasting.open(clock.instant().truncatedTo(ChronoUnit.MICROS), workshops.today());
        tastings.save(tasting);
    }

    /** Makes the key known; sheets are locked and the links end. */
    void reveal(UUID id, int version) {
        Tasting tasting = mine(id, version);
        tasting.reveal();
        tastings.save(tasting);
        entities.flush();
        tastings.closeLinks(id);
    }

    /** Gives a tasting up. */
    void drop(UUID id, int version) {
        Tasting tasting = mine(id, version);
        tasting.drop();
        tastings.save(tasting);
        entities.flush();
        tastings.closeLinks(id);
    }

    /** Writes down how a sample came to the table. */
    void cooked(
            UUID id,
            UUID sampleId,
            int version,
            int thicknessMm,
            boolean thawed,
            boolean seasoned,
            @Nullable Double core,
            CookAlike.@Nullable Probe probe) {
        Tasting tasting =
                tastings.share(current.person().workshopId(), id).orElseThrow(() -> Refusal.notFound("tasting"));
        tasting.mustNotBeRevealed();
        TastingSample sample = tastings.samplesOf(List.of(id)).stream()
                .filter(each -> each.id().equals(sampleId))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("sample"));
        sample.mustStillBe(version);
        sample.cooked(thicknessMm, thawed, seasoned, core, probe);
        entities.flush();
    }

    private Tasting mine(UUID id, int version) {
        Tasting tasting = tastings.lock(id).orElseThrow(() -> Refusal.notFound("tasting"));
        if (!tasting.hostId().equals(current.person().accountId())) {
            throw Refusal.conflict("not-host", "Only the host of a tasting opens, reveals or gives it up.");
        }
        tasting.mustStillBe(version);
        return tasting;
    }
}
