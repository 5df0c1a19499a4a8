/** The invented workshop that shows what Elvaro does. */
@NullMarked
package elvaro.server.demo;

import org.jspecify.annotations.NullMarked;
