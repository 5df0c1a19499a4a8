/** Questions the rules put to a person before a dubious value is kept. */
@NullMarked
package elvaro.core.question;

import org.jspecify.annotations.NullMarked;
