package elvaro.devices.bridge;

import elvaro.core.weighing.MassUnit;
import elvaro.core.weighing.ScaleLine;
import elvaro.core.weighing.ScaleLine.ScaleShown;
import elvaro.devices.bridge.BridgeFile.ScaleSource;
import elvaro.devices.bridge.BridgeFile.Value;
import java.util.Objects;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.json.JsonMapper;

/** What a scale says in messages: a line as at a cable, or JSON with the weight in it. */
final class ScaleMessages {
    private static final JsonMapper JSON = new JsonMapper();

    private ScaleMessages() {}

    /** @return nothing where it is no weight */
    static Optional<ScaleShown> shown(ScaleSource source, ScaleLine pattern, String message) {
        Value weight = source.weight();
        MassUnit unit = MassUnit.of(Objects.requireNonNullElse(
                weight == null || weight.unit() == null ? source.unit() : weight.unit(), "kg"));
        if (weight == null || weight.at() == null) {
            return pattern.read(message, unit);
        }
        try {
            String said =
                    JSON.readTree(message).at(JsonPointer.compile(weight.at())).asString("");
            return pattern.read(said, unit)
                    .map(shown -> weight.times() == null
                            ? shown
                            : new ScaleShown(shown.grams() * weight.times(), shown.moving(), shown.overloaded()));
        } catch (JacksonException noJson) {
            return Optional.empty();
        }
    }
}
