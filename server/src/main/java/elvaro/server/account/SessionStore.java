package elvaro.server.account;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions are read and written in plain JDBC transactions. Through Hibernate they could not be: its sessions are bound
 * to the workshop of the signed-in person, who is only known once the session was read.
 */
@Configuration
class SessionStore {

    @Bean
    TransactionOperations springSessionTransactionOperations(DataSource database) {
        TransactionTemplate transaction = new TransactionTemplate(new JdbcTransactionManager(database));
        transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return transaction;
    }

    /**
     * When a session was last used is written once a minute, not at every request: each write waits for the disk, and was
     * most of the time of a quick request. A new id or name is written at once.
     */
    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> seldomWritten() {
        return sessions -> sessions.setUpdateSessionQuery("""
                update SPRING_SESSION kept join (select ? as session_id, ? as last_access_time, ? as max_inactive_interval,
                ? as expiry_time, ? as principal_name, ? as primary_id) now on kept.primary_id = now.primary_id
                set kept.session_id = now.session_id, kept.last_access_time = now.last_access_time,
                kept.max_inactive_interval = now.max_inactive_interval, kept.expiry_time = now.expiry_time,
                kept.principal_name = now.principal_name
                where kept.session_id <> now.session_id or not kept.principal_name <=> now.principal_name
                or kept.last_access_time < now.last_access_time - 60000""");
    }

    /** The application's own, beside the one above. */
    @Primary
    @Bean
    TransactionTemplate transactionTemplate(PlatformTransactionManager manager) {
        return new TransactionTemplate(manager);
    }
}
