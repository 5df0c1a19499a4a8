/** The bridge: from what probes and scales speak, over a broker of messages or a cable, to what Elvaro is told, and back. */
@NullMarked
package elvaro.devices.bridge;

import org.jspecify.annotations.NullMarked;
