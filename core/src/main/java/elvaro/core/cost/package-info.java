/** What a piece cost and what a kilogram of its steak must fetch. */
@NullMarked
package elvaro.core.cost;

import org.jspecify.annotations.NullMarked;
