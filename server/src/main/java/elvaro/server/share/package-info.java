/** Pages that are shown to whoever has their link, without an account, until the link is taken back. */
@NullMarked
package elvaro.server.share;

import org.jspecify.annotations.NullMarked;
