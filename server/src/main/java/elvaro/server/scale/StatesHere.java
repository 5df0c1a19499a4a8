package elvaro.server.scale;

import elvaro.core.weighing.StableWeight;
import elvaro.core.weighing.StableWeight.Shown;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;

/** In memory, where one node serves the house: a figure a few seconds old is of no use to anyone. */
class StatesHere implements ScaleStates {
    private final Map<UUID, StableWeight> states = new ConcurrentHashMap<>();

    @Override
    public Shown change(UUID scale, int divisionGrams, UnaryOperator<StableWeight> next) {
        return states.compute(scale, (each, state) -> next.apply(state == null ? StableWeight.begin() : state))
                .shown(divisionGrams);
    }

    @Override
    public boolean isLookedAt() {
        return false;
    }

    @Override
    public Optional<Numbered> after(UUID scale, long number) {
        return Optional.empty();
    }
}
