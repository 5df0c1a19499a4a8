/** Weights of the past, read from tables as people keep them. */
@NullMarked
package elvaro.core.past;

import org.jspecify.annotations.NullMarked;
