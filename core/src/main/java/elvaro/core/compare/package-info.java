/** What many finished pieces say together: effects by group, trade-offs, curves. */
@NullMarked
package elvaro.core.compare;

import org.jspecify.annotations.NullMarked;
