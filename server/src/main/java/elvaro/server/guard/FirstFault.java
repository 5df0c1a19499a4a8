package elvaro.server.guard;

import org.springframework.boot.validation.autoconfigure.ValidationConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** A form is read to its first fault: one is said, and a hundred thousand would take the memory. */
@Configuration
class FirstFault {
    @Bean
    ValidationConfigurationCustomizer firstFaultOnly() {
        return validation -> validation.addProperty("hibernate.validator.fail_fast", "true");
    }
}
