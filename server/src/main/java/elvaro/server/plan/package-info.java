/** How long, which way, how much to buy, and where it finds room. */
@NullMarked
package elvaro.server.plan;

import org.jspecify.annotations.NullMarked;
