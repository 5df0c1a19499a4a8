package elvaro.server.treatment;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.Recipe;
import elvaro.core.treatment.TreatmentKind;
import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What was done to a piece, under the id of the log entry that says when and by whom. Written once. */
@Entity
@Immutable
@Chained("treatment")
@Table(name = "treatment")
@NullUnmarked
class Treatment extends WorkshopRow {
    private UUID pieceId;

    @Enumerated(EnumType.STRING)
    private TreatmentKind kind;

    private UUID recipeId;
    private String exactly;
    private Double amount;

    @Enumerated(EnumType.STRING)
    private DoseUnit measure;

    @Enumerated(EnumType.STRING)
    private Dose.Basis basis;

    private Integer number;
    private LocalDate beganOn;
    private int costMinor;
    private boolean rawGarlicOrHerbs;
    private boolean oil;
    private boolean spirit;

    @Convert(converter = Parts.class)
    private List<Recipe.Ingredient> parts;

    protected Treatment() {}

    /** @param parts of the recipe as it is now; none where it is no recipe */
    Treatment(
            UUID entryId, UUID pieceId, Given given, LocalDate beganOn, int costMinor, List<Recipe.Ingredient> parts) {
        super(entryId);
        this.pieceId = pieceId;
        this.kind = given.kind();
        this.recipeId = given.recipeId();
        this.exactly = given.exactly();
        this.amount = given.dose() == null ? null : given.dose().amount();
        this.measure = given.dose() == null ? null : given.dose().measure();
        this.basis = given.dose() == null ? null : given.dose().basis();
        this.number = given.number();
        this.beganOn = beganOn;
        this.costMinor = costMinor;
        this.rawGarlicOrHerbs = given.rawGarlicOrHerbs();
        this.oil = given.oil();
        this.spirit = given.spirit();
        this.parts = parts;
    }

    /** What was done, apart from to which piece and when. */
    Given given() {
        return new Given(kind, recipeId, exactly, dose(), number, rawGarlicOrHerbs, oil, spirit);
    }

    private @Nullable Dose dose() {
        return amount == null ? null : new Dose(amount, measure, basis);
    }

    UUID pieceId() {
        return pieceId;
    }

    TreatmentKind kind() {
        return kind;
    }

    /** How many days or times; as usual where nobody said. */
    int number() {
        return kind.course().number(number);
    }

    LocalDate beganOn() {
        return beganOn;
    }

    /** What was in the mixture when it was given; none where it was no recipe. */
    List<Recipe.Ingredient> parts() {
        return parts;
    }

    int costMinor() {
        return costMinor;
    }
}
