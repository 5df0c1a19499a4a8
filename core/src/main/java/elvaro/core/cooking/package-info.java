/** Heating slabs of meat alike (reference, section 13). */
@NullMarked
package elvaro.core.cooking;

import org.jspecify.annotations.NullMarked;
