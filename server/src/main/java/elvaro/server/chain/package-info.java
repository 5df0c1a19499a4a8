/** Whether the record is still what was written: the house's key, the signed checkpoints of the chain, and its check. */
@NullMarked
package elvaro.server.chain;

import org.jspecify.annotations.NullMarked;
