/** Blind tastings: setting the table, the tasters' phones, and what their sheets say. */
@NullMarked
package elvaro.server.tasting;

import org.jspecify.annotations.NullMarked;
