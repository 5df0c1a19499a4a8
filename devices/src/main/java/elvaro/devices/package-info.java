/** Simulated devices: separate programs that speak to Elvaro as real ones would. */
@NullMarked
package elvaro.devices;

import org.jspecify.annotations.NullMarked;
