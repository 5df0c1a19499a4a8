package elvaro.server.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AccountRepository extends Repository<Account, UUID> {
    Optional<Account> findById(UUID id);

    @Query("select a from Account a order by a.name")
    List<Account> all();

    Account save(Account account);

    void flush();
}
