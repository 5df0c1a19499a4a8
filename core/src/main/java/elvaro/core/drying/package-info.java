/** How meat loses water through a growing crust. */
@NullMarked
package elvaro.core.drying;

import org.jspecify.annotations.NullMarked;
