/** What was seen and smelled, and what follows from it. */
@NullMarked
package elvaro.core.inspection;

import org.jspecify.annotations.NullMarked;
