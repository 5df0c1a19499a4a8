package elvaro.core.notice;

import java.util.List;
import java.util.Optional;

/**
 * What is told, in sentences, whichever way it goes.
 *
 * @param title all that is read where there is room for one line
 * @param sections what else is said, in order
 */
public record NoticeText(String title, List<Section> sections) {
    /** What is said of one thing. */
    public record Section(String heading, List<Said> said) {}

    /** @param at where it is done, within the application; empty for nowhere */
    public record Said(String words, Optional<String> at) {}

    public NoticeText {
        sections = List.copyOf(sections);
    }
}
