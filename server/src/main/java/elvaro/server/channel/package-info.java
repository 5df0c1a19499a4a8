/** The ways on which a message leaves the house: mail, push to a phone, a call of another program. */
@NullMarked
package elvaro.server.channel;

import org.jspecify.annotations.NullMarked;
