/** The first screen: what hangs where, and what to do now. */
@NullMarked
package elvaro.server.room;

import org.jspecify.annotations.NullMarked;
