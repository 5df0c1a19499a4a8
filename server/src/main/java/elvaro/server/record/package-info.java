/** All that was written down about a piece or a chamber, fit to be shown to an inspector. */
@NullMarked
package elvaro.server.record;

import org.jspecify.annotations.NullMarked;
