/** Where the weight went: from green weight to the piles at the bench, in whole grams. */
@NullMarked
package elvaro.core.ledger;

import org.jspecify.annotations.NullMarked;
