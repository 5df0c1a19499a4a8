/** Game: an animal from its tag to its parts. */
@NullMarked
package elvaro.server.carcass;

import org.jspecify.annotations.NullMarked;
