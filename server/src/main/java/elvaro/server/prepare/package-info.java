/** The preparation of a piece: its steps, ticked as they are done, and what is needed. */
@NullMarked
package elvaro.server.prepare;

import org.jspecify.annotations.NullMarked;
