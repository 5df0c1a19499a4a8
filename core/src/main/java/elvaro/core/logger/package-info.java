/** Files of loggers: which column is what, how moments and values are written, and what of it is air. */
@NullMarked
package elvaro.core.logger;

import org.jspecify.annotations.NullMarked;
