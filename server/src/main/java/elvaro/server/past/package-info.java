/** Weights of the past come in from tables that people kept. */
@NullMarked
package elvaro.server.past;

import org.jspecify.annotations.NullMarked;
