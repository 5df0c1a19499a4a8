package elvaro.server.tasting;

import elvaro.core.trial.Strength;

/**
 * What a tasting showed.
 *
 * @param sentence in plain words
 * @param statistics for whoever wants to check it
 */
public record SaidView(Strength strength, String sentence, String statistics) {}
