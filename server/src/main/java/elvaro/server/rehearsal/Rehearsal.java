package elvaro.server.rehearsal;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.rehearsal.Claim;
import elvaro.core.rehearsal.LessonWork;
import elvaro.core.rehearsal.Mishap;
import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.rehearsal.RehearsalPlan;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.SignedIn;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** One rehearsal: its piece, its world, and where its clock stands. Its workshop is its own. */
@Entity
@Table(name = "rehearsal")
@NullUnmarked
class Rehearsal extends EditedRow {
    /** The clock goes on while somebody is at work, and stands while nobody is. */
    private static final Duration LONGEST_AT_WORK = Duration.ofMinutes(15);

    private static final double SECONDS_A_DAY = 86_400;

    @Column(updatable = false)
    private UUID ofWorkshopId;

    @Column(updatable = false)
    private UUID ofAccountId;

    private UUID handId;

    @Enumerated(EnumType.STRING)
    private RehearsalLesson lesson;

    private String cutCode;
    private int grams;
    private boolean boneIn;
    private int fatCoverMm;

    @Enumerated(EnumType.STRING)
    private Method method;

    @Enumerated(EnumType.STRING)
    private Coating coating;

    @Enumerated(EnumType.STRING)
    private ChamberKind place;

    private int plannedDays;
    private int beginsOnDay;
    private String mishaps;
    private long seed;
    /** Absent where several are asked about. */
    private UUID pieceId;

    private UUID chamberId;
    private UUID scaleId;
    private Instant hungAt;
    private Instant houseAt;
    private Instant setAt;
    private Instant begunAt;
    private Instant endedAt;
    private Integer score;
    private boolean passed;

    /** The tasting or trial something was said of, and what. */
    private UUID askedId;

    @Enumerated(EnumType.STRING)
    private Claim claim;

    protected Rehearsal() {}

    /**
     * @param person whose it is
     * @param handId their account in it
     * @param lesson null for free play
     * @param things ids of what hangs, where, and of the scale
     * @param now by the machine's clock
     */
    Rehearsal(
            UUID id,
            SignedIn person,
            UUID handId,
            RehearsalLesson lesson,
            RehearsalPlan plan,
            Things things,
            Instant now) {
        super(id);
        ofWorkshopId = person.workshopId();
        ofAccountId = person.accountId();
        this.handId = handId;
        this.lesson = lesson;
        cutCode = plan.cut().code();
        grams = plan.greenGrams();
        boneIn = plan.boneIn();
        fatCoverMm = plan.fatCoverMm();
        method = plan.method();
        coating = plan.coating();
        place = plan.place();
        plannedDays = plan.plannedDays();
        beginsOnDay = plan.beginsOnDay();
        mishaps = plan.mishaps().stream().map(Mishap::name).sorted().collect(Collectors.joining(" "));
        seed = plan.seed();
        pieceId = things.pieceId();
        chamberId = things.chamberId();
        scaleId = things.scaleId();
        hungAt = now;
        houseAt = now;
        setAt = now;
        begunAt = now;
    }

    /** What there is in its house. @param pieceId absent where several are asked about */
    record Things(@Nullable UUID pieceId, UUID chamberId, UUID scaleId) {}

    RehearsalPlan plan() {
        Set<Mishap> all = mishaps.isEmpty()
                ? Set.of()
                : Arrays.stream(mishaps.split(" ")).map(Mishap::valueOf).collect(Collectors.toSet());
        return new RehearsalPlan(
                CutCatalogue.get(cutCode),
                grams,
                boneIn,
                fatCoverMm,
                method,
                coating,
                place,
                plannedDays,
                beginsOnDay,
                all,
                seed);
    }

    /**
     * What a clock shows that was set then.
     *
     * @param house to what it was set
     * @param set when, by the machine's clock
     */
    static Instant shown(Instant house, Instant set, Instant machine) {
        Duration gone = Duration.between(set, machine);
        if (gone.isNegative()) {
            return house;
        }
        return house.plus(gone.compareTo(LONGEST_AT_WORK) > 0 ? LONGEST_AT_WORK : gone);
    }

    /** Sets its clock. */
    void set(Instant house, Instant machine) {
        houseAt = house.truncatedTo(ChronoUnit.MICROS);
        setAt = machine;
    }

    /** Days since its piece was hung. */
    double day(Instant at) {
        return Math.max(0, Duration.between(hungAt, at).toMillis() / 1000.0 / SECONDS_A_DAY);
    }

    Instant at(double day) {
        return hungAt.plusMillis(Math.round(day * SECONDS_A_DAY * 1000));
    }

    /**
     * Over, and how well it went. Its clock stands from here on.
     *
     * @param house what its clock shows
     */
    void end(int points, boolean isPassed, Instant house, Instant at) {
        set(house, at);
        score = points;
        passed = isPassed;
        endedAt = at;
    }

    /** What was said, and of which tasting or trial. */
    void says(Claim what, UUID of) {
        claim = what;
        askedId = of;
    }

    Optional<Claim> claim() {
        return Optional.ofNullable(claim);
    }

    Optional<UUID> askedId() {
        return Optional.ofNullable(askedId);
    }

    boolean isOver() {
        return endedAt != null;
    }

    /** What its clock shows now that it is over; what runs goes by the time. */
    Instant last(Instant running) {
        return isOver() ? houseAt : running;
    }

    boolean passed() {
        return passed;
    }

    Optional<RehearsalLesson> lesson() {
        return Optional.ofNullable(lesson);
    }

    /** Its only piece; empty where several are asked about. */
    Optional<UUID> pieceId() {
        return Optional.ofNullable(pieceId);
    }

    LessonWork work() {
        return lesson == null ? LessonWork.PIECE : lesson.work();
    }

    UUID chamberId() {
        return chamberId;
    }

    UUID scaleId() {
        return scaleId;
    }

    Instant hungAt() {
        return hungAt;
    }
}
