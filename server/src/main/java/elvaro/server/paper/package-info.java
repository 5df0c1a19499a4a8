/** What is printed: sheets in the product's faces and colours, with the drawings of the screen. */
@NullMarked
package elvaro.server.paper;

import org.jspecify.annotations.NullMarked;
