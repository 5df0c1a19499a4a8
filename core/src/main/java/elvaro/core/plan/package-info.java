/** What becomes of a piece day by day, and what to buy for a table: every model put together. */
@NullMarked
package elvaro.core.plan;

import org.jspecify.annotations.NullMarked;
