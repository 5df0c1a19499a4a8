/** Finds anything of the house by its tag, its number or its words. */
@NullMarked
package elvaro.server.find;

import org.jspecify.annotations.NullMarked;
