/** What people are told without asking: of which things, whom, when and how loudly. */
@NullMarked
package elvaro.core.notice;

import org.jspecify.annotations.NullMarked;
