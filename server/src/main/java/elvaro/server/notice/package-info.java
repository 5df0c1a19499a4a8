/** What people are told without asking: the morning list, questions, alarms; how each is reached, and what was sent. */
@NullMarked
package elvaro.server.notice;

import org.jspecify.annotations.NullMarked;
