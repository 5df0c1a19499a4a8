package elvaro.server.account;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.support.JdbcTransactionManager;
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

    /** The application's own, beside the one above. */
    @Primary
    @Bean
    TransactionTemplate transactionTemplate(PlatformTransactionManager manager) {
        return new TransactionTemplate(manager);
    }
}
