package elvaro.server.plan;

import elvaro.core.yield.Section;
import java.util.List;

/**
 * What a lot would become, hung whole and today as is usual here.
 *
 * @param day the day it would be pulled
 * @param section the picture of it then
 * @param sentences what it gives, what that costs, where it has room and how old it is, as far as that is known
 */
record LotAheadView(int day, Section section, List<String> sentences) {}
