/** What a piece will weigh, and how sure that is: the model, what the shop taught it, and the weighings so far. */
@NullMarked
package elvaro.core.forecast;

import org.jspecify.annotations.NullMarked;
