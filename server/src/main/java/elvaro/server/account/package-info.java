/** People: signing in and out, roles, what each prefers to see. */
@NullMarked
package elvaro.server.account;

import org.jspecify.annotations.NullMarked;
