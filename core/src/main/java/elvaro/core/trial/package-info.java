/** Pieces compared to answer one question: how they are drawn, whether the design is fair, and what came of it. */
@NullMarked
package elvaro.core.trial;

import org.jspecify.annotations.NullMarked;
