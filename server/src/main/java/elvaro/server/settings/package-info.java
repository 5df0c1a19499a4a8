/** The workshop itself: its money, scale and prices. */
@NullMarked
package elvaro.server.settings;

import org.jspecify.annotations.NullMarked;
