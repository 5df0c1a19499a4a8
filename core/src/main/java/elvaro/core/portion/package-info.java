/** Steaks from a piece: how thick, how heavy, how many. */
@NullMarked
package elvaro.core.portion;

import org.jspecify.annotations.NullMarked;
