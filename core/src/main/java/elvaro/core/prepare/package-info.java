/** What is done to a piece before it hangs, and what is needed for it. */
@NullMarked
package elvaro.core.prepare;

import org.jspecify.annotations.NullMarked;
