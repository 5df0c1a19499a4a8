/** Houses in which a piece is aged before the meat is bought: the course, their clock, and what is told when one is over. */
@NullMarked
package elvaro.server.rehearsal;

import org.jspecify.annotations.NullMarked;
