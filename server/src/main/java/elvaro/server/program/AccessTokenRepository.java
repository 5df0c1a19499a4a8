package elvaro.server.program;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AccessTokenRepository extends Repository<AccessToken, UUID> {
    Optional<AccessToken> findById(UUID id);

    @Query("select t from AccessToken t where not t.removed order by t.name, t.id")
    List<AccessToken> open();

    AccessToken save(AccessToken token);
}
