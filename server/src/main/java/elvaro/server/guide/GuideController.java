package elvaro.server.guide;

import elvaro.core.caution.Caution;
import elvaro.core.caution.Topic;
import elvaro.server.shared.CautionView;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Every caution there is, for the guide and for wherever one is shown. */
@RestController
class GuideController {

    /** A topic of the guide with its cautions and where they come from. */
    record TopicView(Topic topic, String id, String title, String source, List<CautionView> cautions) {
        static TopicView of(Topic topic) {
            return new TopicView(
                    topic,
                    topic.id(),
                    topic.title(),
                    topic.source(),
                    CautionView.of(Arrays.stream(Caution.values())
                            .filter(caution -> caution.topic() == topic)
                            .toList()));
        }
    }

    @GetMapping("/api/cautions")
    List<TopicView> cautions() {
        return Arrays.stream(Topic.values()).map(TopicView::of).toList();
    }
}
