/** What is expected of a piece: its forecast, what the shop learnt, its figures so far. */
@NullMarked
package elvaro.server.forecast;

import org.jspecify.annotations.NullMarked;
