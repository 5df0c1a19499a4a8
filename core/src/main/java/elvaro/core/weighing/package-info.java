/** From what a scale sends to a weight that can be kept. */
@NullMarked
package elvaro.core.weighing;

import org.jspecify.annotations.NullMarked;
