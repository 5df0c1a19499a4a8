/** What is encrypted on the way between people and the house, and how a phone comes to trust it. */
@NullMarked
package elvaro.server.encryption;

import org.jspecify.annotations.NullMarked;
