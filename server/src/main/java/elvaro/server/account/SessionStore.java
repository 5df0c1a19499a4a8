package elvaro.server.account;

import jakarta.servlet.Filter;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.session.web.http.SessionRepositoryFilter;

/**
 * Sessions are read and written in plain JDBC transactions. Through Hibernate they could not be: its sessions are bound
 * to the workshop of the signed-in person, who is only known once the session was read.
 */
@Configuration
@EnableJdbcHttpSession
class SessionStore {

    @Bean
    SessionTransactions springSessionTransactionOperations(DataSource database) {
        return new SessionTransactions(new JdbcTransactionManager(database));
    }

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> length(
            @Value("${spring.session.timeout}") Duration timeout) {
        return store -> store.setDefaultMaxInactiveInterval(timeout);
    }

    @Bean
    @Primary
    KeptSessions<?> keptSessions(JdbcIndexedSessionRepository store, SessionTransactions transactions) {
        return new KeptSessions<>(store, transactions);
    }

    /** Around the filter that reads and writes the session. */
    @Bean
    FilterRegistrationBean<Filter> readOnceInARequest(KeptSessions<?> sessions) {
        FilterRegistrationBean<Filter> around = new FilterRegistrationBean<>((request, response, chain) -> {
            sessions.requestBegins();
            try {
                chain.doFilter(request, response);
            } finally {
                sessions.requestEnds();
            }
        });
        around.setOrder(SessionRepositoryFilter.DEFAULT_ORDER - 1);
        return around;
    }
}
