/** Grinding meat mixed from stocks at the least cost (reference, section 10). */
@NullMarked
package elvaro.core.blend;

import org.jspecify.annotations.NullMarked;
