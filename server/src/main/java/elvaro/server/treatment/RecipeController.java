package elvaro.server.treatment;

import elvaro.server.treatment.RecipeService.RecipeView;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The workshop's own recipes. */
@RestController
@RequestMapping("/api/recipes")
class RecipeController {
    private final RecipeService recipes;

    RecipeController(RecipeService recipes) {
        this.recipes = recipes;
    }

    @GetMapping
    List<RecipeView> recipes() {
        return recipes.all();
    }

    @PutMapping("/{id}")
    List<RecipeView> put(@PathVariable UUID id, @RequestBody @Valid RecipeForm form) {
        recipes.put(id, form);
        return recipes.all();
    }
}
