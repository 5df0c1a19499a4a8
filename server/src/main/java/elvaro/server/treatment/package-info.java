/** The treatments there are, and how much of one a piece gets. */
@NullMarked
package elvaro.server.treatment;

import org.jspecify.annotations.NullMarked;
