/** The work the plans ask for: what is due, what lies ahead, what people decided about it, and it all as a calendar. */
@NullMarked
package elvaro.server.task;

import org.jspecify.annotations.NullMarked;
