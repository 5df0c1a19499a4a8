/** Codes on boxes and packs: GS1 element strings, as Code 128, Data Matrix and QR carry them. */
@NullMarked
package elvaro.core.label;

import org.jspecify.annotations.NullMarked;
