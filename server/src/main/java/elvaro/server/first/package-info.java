/** From nothing to the first hung piece, in one step. */
@NullMarked
package elvaro.server.first;

import org.jspecify.annotations.NullMarked;
