package elvaro.server.treatment;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.Recipe.Ingredient;
import elvaro.core.treatment.TreatmentKind;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The workshop's own recipes. */
@Service
@Transactional
class RecipeService {
    private static final int MOST = 200;

    private final RecipeRepository recipes;
    private final WorkshopService workshops;

    RecipeService(RecipeRepository recipes, WorkshopService workshops) {
        this.recipes = recipes;
        this.workshops = workshops;
    }

    /**
     * A recipe.
     *
     * @param amount grams of the mixture for each unit of the basis
     * @param dose the same in words
     */
    record RecipeView(
            UUID id,
            int version,
            String name,
            TreatmentKind kind,
            String kindLabel,
            double amount,
            Dose.Basis basis,
            String dose,
            List<Ingredient> parts,
            boolean rawGarlicOrHerbs,
            boolean oil,
            boolean spirit,
            String note) {
        static RecipeView of(OwnRecipe recipe) {
            return new RecipeView(
                    recipe.id(),
                    recipe.version(),
                    recipe.name(),
                    recipe.kind(),
                    recipe.kind().label(),
                    recipe.dose().amount(),
                    recipe.dose().basis(),
                    recipe.dose().words(),
                    recipe.recipe().parts(),
                    recipe.rawGarlicOrHerbs(),
                    recipe.oil(),
                    recipe.spirit(),
                    recipe.note());
        }
    }

    @Transactional(readOnly = true)
    List<RecipeView> all() {
        return recipes.all().stream().map(RecipeView::of).toList();
    }

    @Transactional(readOnly = true)
    OwnRecipe find(UUID id) {
        return recipes.findById(id)
                .orElseThrow(() -> Refusal.wrong("unknown-recipe", "recipeId", "Choose a recipe from the list."));
    }

    /**
     * Writes a recipe down or changes it; what was done with it before keeps what it was then.
     *
     * @throws Refusal if a value cannot be, or somebody changed it meanwhile
     */
    void put(UUID id, RecipeForm form) {
        form.mustBeDosed();
        workshops.lock(); // How many there are is counted below.
        Optional<OwnRecipe> known = recipes.findById(id);
        if (known.isPresent()) {
            known.get().change(form);
            return;
        }
        if (form.version() != 0) {
            throw Refusal.notFound("recipe");
        }
        if (recipes.all().size() >= MOST) {
            throw Refusal.conflict("enough", "A workshop has %d recipes at most.".formatted(MOST));
        }
        recipes.save(new OwnRecipe(id, form));
    }
}
