/** The air round the meat. */
@NullMarked
package elvaro.core.air;

import org.jspecify.annotations.NullMarked;
