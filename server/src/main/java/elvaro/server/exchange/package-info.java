/** The whole record leaves and returns: the archive, its tables for other programs, weights of the past. */
@NullMarked
package elvaro.server.exchange;

import org.jspecify.annotations.NullMarked;
