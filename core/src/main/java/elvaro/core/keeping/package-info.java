/** How tender a piece has become, and how old it is by the cold it was kept in. */
@NullMarked
package elvaro.core.keeping;

import org.jspecify.annotations.NullMarked;
