/** What stands in the guide that the rules of the trade know. */
@NullMarked
package elvaro.server.guide;

import org.jspecify.annotations.NullMarked;
