/** What was bought. */
@NullMarked
package elvaro.server.lot;

import org.jspecify.annotations.NullMarked;
