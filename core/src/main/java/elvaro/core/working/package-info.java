/** How a number came about, and how numbers read in a sentence. */
@NullMarked
package elvaro.core.working;

import org.jspecify.annotations.NullMarked;
