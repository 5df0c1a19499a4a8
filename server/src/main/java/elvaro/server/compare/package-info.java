/** Finished pieces side by side. */
@NullMarked
package elvaro.server.compare;

import org.jspecify.annotations.NullMarked;
