/** What can hurt, and what is said of it. */
@NullMarked
package elvaro.core.caution;

import org.jspecify.annotations.NullMarked;
