package elvaro.server.shared;

import elvaro.core.caution.Caution;
import elvaro.core.caution.Topic;
import java.util.List;

/**
 * A caution as it is shown where it matters.
 *
 * @param topic its place in the guide
 */
public record CautionView(Caution caution, Topic topic, String sentence) {

    /** In the order given. */
    public static List<CautionView> of(List<Caution> cautions) {
        return cautions.stream()
                .map(caution -> new CautionView(caution, caution.topic(), caution.sentence()))
                .toList();
    }
}
