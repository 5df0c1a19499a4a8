/** Air of the chambers as probes and loggers recorded it. */
@NullMarked
package elvaro.server.reading;

import org.jspecify.annotations.NullMarked;
