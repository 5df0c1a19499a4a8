/** What is bought: species, cuts with their usual names, and the form each is drawn and dried in. */
@NullMarked
package elvaro.core.cut;

import org.jspecify.annotations.NullMarked;
