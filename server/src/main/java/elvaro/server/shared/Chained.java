package elvaro.server.shared;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Of a row of the record that is written once: it becomes a link of the workshop's {@link Chain}, and what it is called there. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
public @interface Chained {
    String value();
}
