/** Programs of others: the tokens they speak with, what each may, and the versioned part of the API that stays as it is for them. */
@NullMarked
package elvaro.server.program;

import org.jspecify.annotations.NullMarked;
