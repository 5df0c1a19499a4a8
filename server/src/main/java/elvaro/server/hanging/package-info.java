/** What people do with a piece and see of it: hanging, moving, weighing, taking down. */
@NullMarked
package elvaro.server.hanging;

import org.jspecify.annotations.NullMarked;
