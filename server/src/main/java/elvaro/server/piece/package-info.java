/** The piece that hangs, and the append-only log of what happened to it. */
@NullMarked
package elvaro.server.piece;

import org.jspecify.annotations.NullMarked;
