/** Where pieces hang. */
@NullMarked
package elvaro.server.chamber;

import org.jspecify.annotations.NullMarked;
