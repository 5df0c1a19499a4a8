/** The probes and scales that may speak for themselves, and how they do. */
@NullMarked
package elvaro.server.device;

import org.jspecify.annotations.NullMarked;
