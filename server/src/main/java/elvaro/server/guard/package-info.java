/** What stands between the network and the work: how much, how slowly and how many at once, and an answer whatever happens. */
@NullMarked
package elvaro.server.guard;

import org.jspecify.annotations.NullMarked;
