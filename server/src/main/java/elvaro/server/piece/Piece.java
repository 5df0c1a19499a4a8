package elvaro.server.piece;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.game.Ice;
import elvaro.core.prepare.Need.Sides;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import elvaro.core.yield.TrimModel;
import elvaro.server.chamber.Chamber;
import elvaro.server.lot.Lot;
import elvaro.server.settings.HouseClock;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Inspected;
import elvaro.server.shared.Inspected.Written;
import elvaro.server.shared.InspectedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.OptimisticLock;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What hangs: a lot, or a part of one, under its own tag. */
@Entity
@Table(name = "piece")
@Audited
@NullUnmarked
public class Piece extends EditedRow implements InspectedRow {
    private static final LocalTime MORNING = LocalTime.of(8, 0);

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "lot_id")
    private Lot lot;

    private String tag;

    @Enumerated(EnumType.STRING)
    private PieceRole role;

    @Enumerated(EnumType.STRING)
    private PieceState state;

    @Inspected(value = "Green weight", as = Written.GRAMS, first = false)
    private int greenGrams;

    @Inspected(value = "Method", first = false)
    @Enumerated(EnumType.STRING)
    private Method method;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "chamber_id")
    private Chamber chamber;

    private Integer rail;
    private Integer slot;

    @Inspected(value = "Hung on", first = false)
    private LocalDate hungOn;

    /** Absent where it was entered later. */
    private Instant hungAt;

    /** Where it was treated for days before it hung; else what it hung with. */
    private Integer cutGrams;

    @Inspected(value = "Target", as = Written.DAYS, first = false)
    private Integer targetDays;

    private int consumablesMinor;

    @Enumerated(EnumType.STRING)
    private Coating coating = Coating.NONE;

    private Integer contactPercent;
    private Integer lengthMm;
    private Integer widthMm;
    private Integer heightMm;

    @Enumerated(EnumType.STRING)
    private BenchOrder benchOrder;

    @Enumerated(EnumType.STRING)
    private Closeness closeness = Closeness.USUAL;

    private boolean alwaysTeaches;

    private Boolean steaksOnBone;

    /** At a cut face, tenths of a millimetre, if somebody laid a rule on it. */
    private Integer crustTenthsMm;

    /** Of a part of a carcass; else it is its lot's. */
    private String cutCode;

    private Boolean boneIn;

    /** Of the meat as it was laid on ice, and of the air round the chest, where somebody said. */
    private BigDecimal meatCelsius;

    private BigDecimal outsideCelsius;

    /** How many like things it is that hang under the one tag. */
    private int count = 1;

    /** What a bag of its ice holds; absent where nobody said. */
    private Integer iceBagGrams;

    /** Counts the entries written into the log: {@link PieceLogs} caches what it read under it. */
    @NotAudited
    @OptimisticLock(excluded = true)
    private int logVersion;

    protected Piece() {}

    Piece(UUID id, Lot lot, String tag, PieceRole role, PieceState state, int greenGrams) {
        super(id);
        if (greenGrams <= 0) {
            throw new IllegalArgumentException("A piece weighs more than 0 g");
        }
        this.lot = lot;
        this.tag = tag;
        this.role = role;
        this.state = state;
        this.greenGrams = greenGrams;
    }

    /** Hangs a piece that waited; what it weighed before it was treated stays known. */
    void hang(int grams, LocalDate on, Instant at, int days) {
        if (state != PieceState.WAITING || grams <= 0) {
            throw new IllegalStateException("Only a piece that waits is hung, and it weighs something");
        }
        cutGrams = greenGrams;
        greenGrams = grams;
        hungOn = on;
        hungAt = at;
        targetDays = days;
        state = PieceState.HANGING;
    }

    /** What it weighed when it was cut from the lot. */
    public int cutGrams() {
        return cutGrams == null ? greenGrams : cutGrams;
    }

    /** A part of a carcass, which is another cut than its lot. */
    void cutAs(String code, boolean withBone) {
        cutCode = code;
        boneIn = withBone;
    }

    /** By what method, from which day on and for how many days it hangs; absent where it does not hang by itself. */
    void agedBy(Method how, @Nullable LocalDate on, @Nullable Integer days) {
        method = how;
        hungOn = on;
        targetDays = days;
    }

    void hangSince(@Nullable Instant at) {
        hungAt = at;
    }

    /** A part that came off a whole, and never hung by itself, was put on the scale once more. */
    void weighAnew(int grams) {
        if (!cameOff() || grams <= 0) {
            throw new IllegalStateException("Only what came off is weighed anew");
        }
        greenGrams = grams;
    }

    /** Whether it went from a whole animal straight to the bench. */
    public boolean cameOff() {
        return isPart() && hungOn == null;
    }

    public boolean isPart() {
        return cutCode != null;
    }

    public Cut cut() {
        return cutCode == null ? lot.cut() : CutCatalogue.get(cutCode);
    }

    public boolean boneIn() {
        return boneIn == null ? lot.boneIn() : boneIn;
    }

    void hangIn(Chamber where, Place place) {
        chamber = where;
        rail = place.rail();
        slot = place.slot();
    }

    /** Laid on ice so warm, in so warm a place; said again when the weather turns. */
    void layOnIce(double meat, double outside, @Nullable Integer bagGrams) {
        meatCelsius = BigDecimal.valueOf(meat);
        outsideCelsius = BigDecimal.valueOf(outside);
        iceBagGrams = bagGrams;
    }

    /**
     * The ice it takes; empty off the ice, or where nobody said how warm it is.
     *
     * @param chestGrams all that lies in its chest, g
     */
    public Optional<Ice> ice(long chestGrams) {
        return method != Method.ON_ICE || meatCelsius == null || outsideCelsius == null
                ? Optional.empty()
                : Optional.of(Ice.of(
                        greenGrams,
                        Math.max(chestGrams, greenGrams),
                        meatCelsius.doubleValue(),
                        outsideCelsius.doubleValue(),
                        chamber()
                                .filter(chest -> chest.kind() == ChamberKind.ICE_CHEST)
                                .map(Chamber::limitGrams)
                                .orElse(Ice.USUAL_CHEST_GRAMS)));
    }

    public Optional<Integer> iceBagGrams() {
        return Optional.ofNullable(iceBagGrams);
    }

    public Optional<Double> meatCelsius() {
        return Optional.ofNullable(meatCelsius).map(BigDecimal::doubleValue);
    }

    public Optional<Double> outsideCelsius() {
        return Optional.ofNullable(outsideCelsius).map(BigDecimal::doubleValue);
    }

    void spend(int minor) {
        consumablesMinor += minor;
    }

    /** What is on it, and how much of its membrane touches meat, if somebody looked. */
    void cover(Coating coat, @Nullable Integer membraneContactPercent) {
        coating = coat;
        contactPercent = membraneContactPercent;
    }

    /** Given a coat, or rid of it, while it hangs. */
    void coat(Coating coat) {
        coating = coat;
    }

    /** Its length, width and height by tape measure. */
    void measure(@Nullable Integer length, @Nullable Integer width, @Nullable Integer height) {
        lengthMm = length;
        widthMm = width;
        heightMm = height;
    }

    /** A batch of like things: six ducks, four steaks. */
    void holds(int things) {
        if (things < 1) {
            throw new IllegalArgumentException("A batch holds at least one");
        }
        count = things;
    }

    /** Whether it was a batch, and each of it is a piece of its own now. */
    public boolean isTakenApart() {
        return count > 1 && state == PieceState.PARTED;
    }

    /** How many like things it is; each dries as one of its share of the weight. */
    public int count() {
        return count;
    }

    /**
     * The piece as the drying sees it, of a batch one of it: shares of the weight are those of all. Empty for one set aside fresh,
     * or that does not hang yet.
     */
    public Optional<Hanging> hanging() {
        return hungOn == null ? Optional.empty() : asItIsToHang();
    }

    /** The same, of one that waits too; empty for one set aside fresh. */
    public Optional<Hanging> asItIsToHang() {
        return method().map(how -> HangingFactory.of(
                cut(),
                Math.max(1, greenGrams / count),
                boneIn(),
                lot.fatCoverMm(),
                how,
                coating,
                contactPercent,
                sides().orElse(null)));
    }

    /** Its sides, if somebody measured them. */
    public Optional<Sides> sides() {
        return lengthMm == null || widthMm == null || heightMm == null
                ? Optional.empty()
                : Optional.of(new Sides(lengthMm, widthMm, heightMm));
    }

    /** When its days begin to count: where it was entered on a later day nobody noted the hour, so the morning. */
    public Optional<Instant> hungAt(HouseClock house) {
        return hungAt == null ? hungOn().map(day -> house.at(day, MORNING)) : Optional.of(hungAt);
    }

    void retarget(int days) {
        targetDays = days;
    }

    void growLog() {
        logVersion++;
    }

    public int logVersion() {
        return logVersion;
    }

    void become(PieceState next) {
        state = next;
    }

    /** How it is cut; decided at the bench, or by the question of a trial. */
    void cutBy(BenchOrder order) {
        benchOrder = order;
    }

    /** How close the knife goes, and the crust it found, if somebody measured it. */
    void trim(Closeness how, @Nullable Integer crust) {
        closeness = how;
        crustTenthsMm = crust;
    }

    /** Somebody says that its weights are right, though they contradict those of other pieces; or no longer says so. */
    void teach(boolean always) {
        alwaysTeaches = always;
    }

    public boolean alwaysTeaches() {
        return alwaysTeaches;
    }

    /** Whether its steaks are sawn through the bone. */
    void saw(boolean onBone) {
        steaksOnBone = onBone;
    }

    /** Whether they are, or usually would be. */
    public boolean steaksOnBone() {
        return boneIn() && (steaksOnBone == null ? cut().steaksOnBone() : steaksOnBone);
    }

    public Closeness closeness() {
        return closeness;
    }

    public Optional<Integer> crustTenthsMm() {
        return Optional.ofNullable(crustTenthsMm);
    }

    /** How it is, or is going to be, cut; empty for one that never hung. */
    public Optional<TrimModel> trimModel() {
        return hanging()
                .map(how -> TrimModel.of(
                                cut(), how, lot.fatCoverMm(), benchOrder().orElse(BenchOrder.SLICE_FIRST))
                        .cutBy(benchOrder().orElse(BenchOrder.SLICE_FIRST), closeness)
                        .onBone(cut(), steaksOnBone()));
    }

    public Lot lot() {
        return lot;
    }

    @Override
    public String inspectedName() {
        return tag;
    }

    public String tag() {
        return tag;
    }

    public PieceRole role() {
        return role;
    }

    public PieceState state() {
        return state;
    }

    public int greenGrams() {
        return greenGrams;
    }

    public Optional<Method> method() {
        return Optional.ofNullable(method);
    }

    public Optional<Chamber> chamber() {
        return Optional.ofNullable(chamber);
    }

    public Optional<Place> place() {
        return rail == null || slot == null ? Optional.empty() : Optional.of(new Place(rail, slot));
    }

    public Optional<LocalDate> hungOn() {
        return Optional.ofNullable(hungOn);
    }

    public Optional<Integer> targetDays() {
        return Optional.ofNullable(targetDays);
    }

    public Coating coating() {
        return coating;
    }

    public int consumablesMinor() {
        return consumablesMinor;
    }

    public Optional<BenchOrder> benchOrder() {
        return Optional.ofNullable(benchOrder);
    }
}
