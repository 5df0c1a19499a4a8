/** The cutting step: piles, balance, ledger. */
@NullMarked
package elvaro.server.bench;

import org.jspecify.annotations.NullMarked;
