package elvaro.server.shared;

import java.io.InputStream;
import java.lang.reflect.Method;
import java.util.List;
import org.springframework.aop.Pointcut;
import org.springframework.aop.support.ComposablePointcut;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.annotation.AnnotationMatchingPointcut;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.context.annotation.Role;
import org.springframework.core.Ordered;
import org.springframework.resilience.retry.MethodRetrySpec;
import org.springframework.resilience.retry.SimpleRetryInterceptor;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Where a {@link RetriedTransaction} is begun: around every service that says it is transactional, and where it is written out. */
@Configuration
class RetriedTransactions {
    /** Around every transaction of a service; inside of one there is nothing to begin anew. */
    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static DefaultPointcutAdvisor retriedTransactionAdvisor() {
        Pointcut transactional = new ComposablePointcut(
                        AnnotationMatchingPointcut.forClassAnnotation(Transactional.class))
                .union((Pointcut) AnnotationMatchingPointcut.forMethodAnnotation(Transactional.class));
        DefaultPointcutAdvisor advisor = new DefaultPointcutAdvisor(
                transactional,
                new SimpleRetryInterceptor(new MethodRetrySpec(
                        (method, failure) -> RetriedTransaction.mayBeginAnew(failure) && !isReadOnce(method),
                        RetriedTransaction.TIMES,
                        RetriedTransaction.PAUSE,
                        RetriedTransaction.JITTER,
                        RetriedTransaction.LONGER,
                        RetriedTransaction.LONGEST_PAUSE)));
        advisor.setOrder(Ordered.LOWEST_PRECEDENCE - 1); // around the transaction's own
        return advisor;
    }

    /** The same for transactions that are written out. Beside that of the sessions it is the application's own. */
    @Primary
    @Bean
    TransactionTemplate transactionTemplate(PlatformTransactionManager manager) {
        return new RetriedTransaction(manager);
    }

    private static boolean isReadOnce(Method method) {
        return List.of(method.getParameterTypes()).contains(InputStream.class);
    }
}
