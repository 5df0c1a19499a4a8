package elvaro.server.treatment;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecipeRepository extends Repository<OwnRecipe, UUID> {
    Optional<OwnRecipe> findById(UUID id);

    @Query("select r from OwnRecipe r order by r.name, r.id")
    List<OwnRecipe> all();

    OwnRecipe save(OwnRecipe recipe);
}
