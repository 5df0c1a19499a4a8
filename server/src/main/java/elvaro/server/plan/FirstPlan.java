package elvaro.server.plan;

import java.util.Map;

/**
 * What a plan begins with.
 *
 * @param scenario a piece as most people hang it here
 * @param lastPaid for each cut, minor units a kilogram, by the code of the cut; cuts never bought are not in it
 */
record FirstPlan(ScenarioForm scenario, Map<String, Integer> lastPaid) {}
