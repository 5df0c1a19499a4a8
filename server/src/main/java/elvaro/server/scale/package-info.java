/** What lies on the scales, as it is now. Nothing of it is kept; a weight is kept by writing it into a piece's log. */
@NullMarked
package elvaro.server.scale;

import org.jspecify.annotations.NullMarked;
