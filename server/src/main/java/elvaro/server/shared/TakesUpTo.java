package elvaro.server.shared;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** How large the body of a route, or of every route of a controller, may be; {@link #ORDINARY} where nothing is said. */
@Target({ElementType.METHOD, ElementType.TYPE})
@Retention(RetentionPolicy.RUNTIME)
public @interface TakesUpTo {
    /** Bytes that hold every form people fill in, several times over. */
    int ORDINARY = 128_000;

    /** Bytes of a route that anybody may call: it is read before it is known who calls. */
    int FROM_STRANGERS = 32_000;

    /** Of a route that writes it away as it comes, holds none of it in memory and bounds it by itself. */
    int AS_IT_COMES = Integer.MAX_VALUE;

    /** In bytes. */
    int value();
}
