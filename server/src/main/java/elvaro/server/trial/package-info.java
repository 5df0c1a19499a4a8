/** Pieces compared to answer one question. */
@NullMarked
package elvaro.server.trial;

import org.jspecify.annotations.NullMarked;
