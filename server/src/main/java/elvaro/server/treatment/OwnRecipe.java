package elvaro.server.treatment;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.Recipe;
import elvaro.core.treatment.TreatmentKind;
import elvaro.server.shared.EditedRow;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.List;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;

/** A mixture of the workshop's own, built on a kind of treatment. */
@Entity
@Table(name = "recipe")
@Audited
@NullUnmarked
class OwnRecipe extends EditedRow {
    private String name;

    @Enumerated(EnumType.STRING)
    private TreatmentKind kind;

    private double gramsAmount;

    @Enumerated(EnumType.STRING)
    private Dose.Basis basis;

    @Convert(converter = Parts.class)
    private List<Recipe.Ingredient> parts;

    private boolean rawGarlicOrHerbs;
    private boolean oil;
    private boolean spirit;
    private String note;

    protected OwnRecipe() {}

    OwnRecipe(UUID id, RecipeForm form) {
        super(id);
        apply(form);
    }

    void change(RecipeForm form) {
        mustStillBe(form.version());
        apply(form);
    }

    private void apply(RecipeForm form) {
        name = form.name().strip();
        kind = form.kind();
        gramsAmount = form.amount();
        basis = form.basis();
        parts = form.recipe().parts();
        rawGarlicOrHerbs = form.rawGarlicOrHerbs();
        oil = form.oil();
        spirit = form.spirit();
        note = form.note().strip();
    }

    String name() {
        return name;
    }

    TreatmentKind kind() {
        return kind;
    }

    Dose dose() {
        return new Dose(gramsAmount, DoseUnit.GRAM, basis);
    }

    Recipe recipe() {
        return new Recipe(parts);
    }

    boolean rawGarlicOrHerbs() {
        return rawGarlicOrHerbs;
    }

    boolean oil() {
        return oil;
    }

    boolean spirit() {
        return spirit;
    }

    String note() {
        return note;
    }
}
