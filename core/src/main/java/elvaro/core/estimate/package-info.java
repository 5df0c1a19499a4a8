/** The engineering estimates of the project, all in one place. */
@NullMarked
package elvaro.core.estimate;

import org.jspecify.annotations.NullMarked;
