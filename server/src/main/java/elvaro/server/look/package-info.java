/** Looking at a piece: what was seen, what follows from it, and its pictures. */
@NullMarked
package elvaro.server.look;

import org.jspecify.annotations.NullMarked;
