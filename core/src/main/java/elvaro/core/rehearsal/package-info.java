/**
 * A world in which a piece can be aged before the meat is bought: water that moves through layers, air that answers, what
 * grows, and what could be seen of it. Another world than the forecast's on purpose: nothing of its equations is used here,
 * so that each can judge the other.
 */
@NullMarked
package elvaro.core.rehearsal;

import org.jspecify.annotations.NullMarked;
