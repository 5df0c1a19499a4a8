/** Whether what was restored from a backup is whole. */
@NullMarked
package elvaro.server.backup;

import org.jspecify.annotations.NullMarked;
