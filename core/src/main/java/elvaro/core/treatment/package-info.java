/** Flavour on the outside: what there is, how much of it, its steps, and what it must not meet. */
@NullMarked
package elvaro.core.treatment;

import org.jspecify.annotations.NullMarked;
