/** Blind tastings: who gets what in which order, and what the answers prove (reference, section 11). */
@NullMarked
package elvaro.core.tasting;

import org.jspecify.annotations.NullMarked;
