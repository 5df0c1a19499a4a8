package elvaro.server.account;

import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Component;

/**
 * Finds who wants to sign in. The one look-up across workshops, and so in plain SQL beside Hibernate's binding to one.
 */
@Component
class SignInDirectory implements UserDetailsService {
    private final JdbcClient database;

    SignInDirectory(JdbcClient database) {
        this.database = database;
    }

    /** Names are compared without regard to case and surrounding space. */
    static String canonical(String signInName) {
        return signInName.strip().toLowerCase(Locale.ROOT);
    }

    @Override
    public UserDetails loadUserByUsername(String signInName) {
        return database.sql("select id, workshop_id, role, active, password_hash from account where sign_in_name = ?")
                .param(canonical(signInName))
                .query((row, number) -> new SignedIn(
                        UUID.fromString(row.getString("id")),
                        UUID.fromString(row.getString("workshop_id")),
                        Role.valueOf(row.getString("role")),
                        row.getBoolean("active"),
                        row.getString("password_hash")))
                .optional()
                .orElseThrow(() -> new UsernameNotFoundException("unknown"));
    }

    /** By the account, for whoever showed to be that person without typing a name. */
    Optional<SignedIn> find(UUID accountId) {
        return database.sql("select sign_in_name from account where id = ?")
                .param(accountId.toString())
                .query(String.class)
                .optional()
                .map(name -> (SignedIn) loadUserByUsername(name));
    }

    boolean isTaken(String signInName) {
        return count("select count(*) from account where sign_in_name = ?", canonical(signInName)) > 0;
    }

    boolean isEmpty() {
        return count("select count(*) from account") == 0;
    }

    private int count(String sql, Object... params) {
        return database.sql(sql).params(params).query(Integer.class).single();
    }
}
