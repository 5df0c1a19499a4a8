/** What is common to tables that others wrote: names of months, the line of heads, words of totals. */
@NullMarked
package elvaro.core.table;

import org.jspecify.annotations.NullMarked;
