package elvaro.server.tasting;

import elvaro.core.cooking.CookAlike;
import elvaro.core.cooking.Heat;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Servings;
import elvaro.core.tasting.TastingKind;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Refusal;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** A tasting: what is asked of whom, how it is cooked, and how far it is. */
@Entity
@Table(name = "tasting")
@Audited
@NullUnmarked
class Tasting extends EditedRow {
    /** A host who forgets to end it leaves no door open for longer. */
    static final Duration OPEN_FOR = Duration.ofHours(24);

    private String question;

    @Enumerated(EnumType.STRING)
    private TastingKind kind;

    private int rounds;

    @Convert(converter = Attributes.class)
    private List<Attribute> attributes;

    private long seed;

    /** Absent where it was laid before plates had codes of their own. */
    private Boolean codesByPlate;

    private UUID trialId;
    private UUID hostId;

    @Enumerated(EnumType.STRING)
    private Heat heat;

    private int coreTenths;
    /** Of oven, grill or pan; absent for a usual one. */
    private Integer fireTenths;

    /** Of the meat as it is put on; absent for out of the refrigerator. */
    private Integer startTenths;

    private int restMinutes;
    private String seasoning;

    @Enumerated(EnumType.STRING)
    private TastingState state = TastingState.PLANNED;

    private LocalDate heldOn;
    private Instant openedAt;

    protected Tasting() {}

    /** @param host who alone knows the key until the reveal */
    Tasting(UUID id, TastingForm form, long seed, UUID host, LocalDate today) {
        super(id);
        question = form.question().strip();
        kind = form.kind();
        rounds = form.rounds();
        attributes = form.attributes();
        trialId = form.trialId();
        heat = form.heat();
        coreTenths = Tenths.of(form.coreCelsius());
        fireTenths = form.fireCelsius() == null ? null : Tenths.of(form.fireCelsius());
        startTenths = form.startCelsius() == null ? null : Tenths.of(form.startCelsius());
        restMinutes = form.restMinutes();
        seasoning = form.seasoning().strip();
        this.seed = seed;
        codesByPlate = true;
        hostId = host;
        heldOn = today;
    }

    /** @throws Refusal unless it is planned */
    void open(Instant now, LocalDate today) {
        mustBe(TastingState.PLANNED);
        state = TastingState.OPEN;
        openedAt = now;
        heldOn = today;
    }

    void reveal() {
        mustBe(TastingState.OPEN);
        state = TastingState.REVEALED;
    }

    void drop() {
        if (state == TastingState.REVEALED) {
            throw Refusal.conflict("tasting-revealed", "It is revealed and stays in the record.");
        }
        state = TastingState.DROPPED;
    }

    /** @throws Refusal if it is not open, or was opened too long ago */
    void mustTakeSheets(Instant now) {
        if (!takesSheets(now)) {
            throw Refusal.conflict(
                    "tasting-not-open",
                    state == TastingState.PLANNED
                            ? "The tasting has not begun. What you answered is kept; hand it in when it has."
                            : "The tasting is over. Nothing more is taken in.");
        }
    }

    boolean takesSheets(Instant now) {
        return state == TastingState.OPEN && openedAt != null && now.isBefore(openedAt.plus(OPEN_FOR));
    }

    void mustNotBeRevealed() {
        if (state == TastingState.REVEALED || state == TastingState.DROPPED) {
            throw Refusal.conflict(
                    "tasting-revealed", "The tasting is over; what was cooked stays as it was written down.");
        }
    }

    private void mustBe(TastingState wanted) {
        if (state != wanted) {
            throw Refusal.changedMeanwhile();
        }
    }

    /** What is cooked alike: the fire, the meat as it is put on, and the core. */
    CookAlike alike() {
        return new CookAlike(
                heat,
                fireTenths == null ? OptionalDouble.empty() : OptionalDouble.of(fireTenths / 10.0),
                startTenths == null ? CookAlike.USUAL_START : startTenths / 10.0,
                coreCelsius());
    }

    String question() {
        return question;
    }

    TastingKind kind() {
        return kind;
    }

    int rounds() {
        return rounds;
    }

    List<Attribute> attributes() {
        return attributes;
    }

    long seed() {
        return seed;
    }

    /** What stands before each taster. */
    Servings servings(int samples, int tasters) {
        return Boolean.TRUE.equals(codesByPlate)
                ? Servings.plan(kind, samples, tasters, rounds, seed)
                : Servings.planWithSharedCodes(kind, samples, tasters, rounds, seed);
    }

    Optional<UUID> trialId() {
        return Optional.ofNullable(trialId);
    }

    UUID hostId() {
        return hostId;
    }

    Heat heat() {
        return heat;
    }

    double coreCelsius() {
        return coreTenths / 10.0;
    }

    int restMinutes() {
        return restMinutes;
    }

    String seasoning() {
        return seasoning;
    }

    TastingState state() {
        return state;
    }

    LocalDate heldOn() {
        return heldOn;
    }

    @Nullable
    Instant openedAt() {
        return openedAt;
    }
}
