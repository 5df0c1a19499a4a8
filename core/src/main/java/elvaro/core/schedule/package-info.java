/** What is due, and how urgent it is. */
@NullMarked
package elvaro.core.schedule;

import org.jspecify.annotations.NullMarked;
