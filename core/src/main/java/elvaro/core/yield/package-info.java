/** What of a hanging piece will be crust, fat, bone and steak. */
@NullMarked
package elvaro.core.yield;

import org.jspecify.annotations.NullMarked;
