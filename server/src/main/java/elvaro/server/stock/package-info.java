/** What is packed: where it is, how long by the workshop's own rule, its label, and where it went. */
@NullMarked
package elvaro.server.stock;

import org.jspecify.annotations.NullMarked;
