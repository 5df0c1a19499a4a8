/** Game: what an animal is, what it is to give, the parts it is broken down into, and the ice it lies on. */
@NullMarked
package elvaro.core.game;

import org.jspecify.annotations.NullMarked;
