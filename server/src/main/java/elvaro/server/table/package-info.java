/** Files of rows as others write them: text with columns, and the sheets of workbooks. */
@NullMarked
package elvaro.server.table;

import org.jspecify.annotations.NullMarked;
