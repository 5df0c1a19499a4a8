package elvaro.core.notice;

import elvaro.core.notice.NoticeText.Said;
import elvaro.core.notice.NoticeText.Section;
import elvaro.core.working.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What one person is told in the morning: one list, however much there is.
 *
 * @param due today
 * @param late work that is told of today, the longest first
 * @param open how much more is late and was told of before
 * @param missing what else is missing, in sentences
 */
public record MorningList(List<Line> due, List<Line> late, int open, List<String> missing) {
    /** So many are named of a kind; who has more sees them in the room. */
    private static final int NAMED = 12;

    /**
     * One thing on the list.
     *
     * @param work in a word
     * @param tag of what it is about
     * @param name of what it is about
     * @param words how long it has been due, or what exactly
     * @param waiting what it costs to wait, in a sentence, where anybody knows
     * @param days late, 0 on its day
     * @param alone whether it stands in a line of its own, though others are like it
     * @param at where it is done, within the application
     */
    public record Line(
            String work,
            String tag,
            String name,
            String words,
            Optional<String> waiting,
            long days,
            boolean alone,
            String at) {
        /** As {@code Weigh 22A, Inside round: weigh it today.} */
        public String sentence() {
            return sentence(tag);
        }

        private String sentence(String tags) {
            String what = words.contains(name) ? "" : ", " + name;
            String said = "%s %s%s: %s%s"
                    .formatted(
                            work,
                            tags,
                            what,
                            words,
                            waiting.map(each -> "; " + each).orElse(""));
            return said.endsWith(".") || said.endsWith("?") ? said : said + ".";
        }

        private boolean isLike(Line other) {
            return !alone
                    && !other.alone
                    && work.equals(other.work)
                    && name.equals(other.name)
                    && words.equals(other.words);
        }
    }

    public MorningList {
        due = List.copyOf(due);
        late = List.copyOf(late);
        missing = List.copyOf(missing);
    }

    /** How many of a kind are named; what each costs need be known of no more. */
    public static int named() {
        return NAMED;
    }

    /** Whether there is nothing to tell: what was told before and is still open is no reason to tell it again. */
    public boolean isEmpty() {
        return due.isEmpty() && late.isEmpty() && missing.isEmpty();
    }

    public Loudness loudness() {
        return late.stream().anyMatch(line -> LateWork.loudness(line.days()) == Loudness.LOUD)
                ? Loudness.LOUD
                : Loudness.NORMAL;
    }

    /** As {@code 3 to do today, 2 late}. */
    private String title() {
        List<String> parts = new ArrayList<>();
        if (!due.isEmpty()) {
            parts.add(due.size() + " to do today");
        }
        if (!late.isEmpty()) {
            String longest =
                    Quantity.days(late.stream().mapToLong(Line::days).max().orElse(0));
            parts.add(late.size() == 1 ? "1 late by " + longest : "%d late, up to %s".formatted(late.size(), longest));
        }
        if (parts.isEmpty()) {
            parts.add(missing.size() == 1 ? "1 thing is missing" : missing.size() + " things are missing");
        }
        return String.join(", ", parts);
    }

    /** What is said, the late first: it was told before and nobody came. */
    public NoticeText text() {
        return new NoticeText(title(), sections());
    }

    private List<Section> sections() {
        List<Section> sections = new ArrayList<>();
        add(sections, "Late", late);
        add(sections, "Today", due);
        if (!missing.isEmpty()) {
            sections.add(new Section(
                    "Missing",
                    missing.stream()
                            .map(words -> new Said(words, Optional.empty()))
                            .toList()));
        }
        if (open > 0) {
            sections.add(new Section(
                    "Still open",
                    List.of(new Said(
                            open == 1 ? "1 more, told before." : open + " more, told before.", Optional.of("/")))));
        }
        return List.copyOf(sections);
    }

    private static void add(List<Section> sections, String heading, List<Line> lines) {
        if (!lines.isEmpty()) {
            sections.add(new Section(heading, said(lines)));
        }
    }

    /** Lines that say the same of several things are one. */
    public static List<Said> said(List<Line> lines) {
        List<List<Line>> groups = new ArrayList<>();
        for (Line line : lines) {
            groups.stream()
                    .filter(group -> group.get(0).isLike(line))
                    .findFirst()
                    .ifPresentOrElse(group -> group.add(line), () -> groups.add(new ArrayList<>(List.of(line))));
        }
        List<Said> said = new ArrayList<>(
                groups.stream().limit(NAMED).map(MorningList::together).toList());
        int left = groups.stream().skip(NAMED).mapToInt(List::size).sum();
        if (left > 0) {
            said.add(new Said("and %d more, in the room.".formatted(left), Optional.of("/")));
        }
        return List.copyOf(said);
    }

    private static Said together(List<Line> group) {
        Line first = group.get(0);
        if (group.size() == 1) {
            return new Said(first.sentence(), Optional.of(first.at));
        }
        String tags = group.stream().limit(NAMED).map(Line::tag).collect(Collectors.joining(", "));
        String more = group.size() > NAMED ? " and %d more".formatted(group.size() - NAMED) : "";
        return new Said(first.sentence(tags + more), Optional.of("/"));
    }
}
