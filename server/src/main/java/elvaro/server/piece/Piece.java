package elvaro.server.piece;

import elvaro.core.drying.Method;
import elvaro.server.chamber.Chamber;
import elvaro.server.lot.Lot;
import elvaro.server.shared.EditedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.OptimisticLock;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.NullUnmarked;

/** What hangs: a lot, or a part of one, under its own tag. */
@Entity
@Table(name = "piece")
@Audited
@NullUnmarked
public class Piece extends EditedRow {
    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "lot_id")
    private Lot lot;

    private String tag;

    @Enumerated(EnumType.STRING)
    private PieceRole role;

    @Enumerated(EnumType.STRING)
    private PieceState state;

    private int greenGrams;

    @Enumerated(EnumType.STRING)
    private Method method;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "chamber_id")
    private Chamber chamber;

    private Integer rail;
    private Integer slot;
    private LocalDate hungOn;
    private Integer targetDays;
    private int consumablesMinor;

    @Enumerated(EnumType.STRING)
    private BenchOrder benchOrder;

    /** Counts the entries written into the log: {@link Logs} caches what it read under it. */
    @NotAudited
    @OptimisticLock(excluded = true)
    private int logVersion;

    protected Piece() {}

    private Piece(UUID id, Lot lot, String tag, PieceRole role, PieceState state, int greenGrams) {
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

    /** A piece set aside fresh, for comparison. */
    public static Piece fresh(UUID id, Lot lot, String tag, int greenGrams) {
        return new Piece(id, lot, tag, PieceRole.FRESH, PieceState.FRESH, greenGrams);
    }

    /** A piece hung on a day, by a method, for a number of days. */
    public static Piece hang(
            UUID id, Lot lot, String tag, PieceRole role, int greenGrams, Method method, LocalDate hungOn, int days) {
        Piece piece = new Piece(id, lot, tag, role, PieceState.HANGING, greenGrams);
        piece.method = method;
        piece.hungOn = hungOn;
        piece.targetDays = days;
        return piece;
    }

    public Piece in(Chamber where, Place place) {
        chamber = where;
        rail = place.rail();
        slot = place.slot();
        return this;
    }

    public Piece costing(int minor) {
        consumablesMinor = minor;
        return this;
    }

    void retarget(int days) {
        targetDays = days;
    }

    void logGrows() {
        logVersion++;
    }

    int logVersion() {
        return logVersion;
    }

    void becomes(PieceState next) {
        state = next;
    }

    /** How it is cut; decided at the bench. */
    public void cutBy(BenchOrder order) {
        benchOrder = order;
    }

    public Lot lot() {
        return lot;
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

    public int consumablesMinor() {
        return consumablesMinor;
    }

    public Optional<BenchOrder> benchOrder() {
        return Optional.ofNullable(benchOrder);
    }
}
