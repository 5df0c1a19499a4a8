/** What all features use: the workshop a request is bound to, refusals, questions and their answers. */
@NullMarked
package elvaro.server.shared;

import org.jspecify.annotations.NullMarked;
