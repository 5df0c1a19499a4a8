package elvaro.core.notice;

import elvaro.core.caution.Caution;
import elvaro.core.notice.NoticeText.Said;
import elvaro.core.notice.NoticeText.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is said of an alarm as it is raised, told again and over. */
public final class AlarmText {
    private AlarmText() {}

    /**
     * @param subject what it is about, as the name of a chamber
     * @param words what is wrong, as {@link AirTrouble#words}
     * @param since when it began, by the clock of the house
     * @param hangs what hangs there, in words; empty where nothing does
     * @param at of the alarm, within the application
     */
    public static NoticeText raised(
            NoticeKind kind, String subject, String words, String since, Optional<String> hangs, String at) {
        List<Said> said = new ArrayList<>();
        said.add(new Said("Since %s.".formatted(since), Optional.empty()));
        hangs.ifPresent(each -> said.add(new Said(each, Optional.empty())));
        advice(kind).ifPresent(each -> said.add(new Said(each, Optional.empty())));
        said.add(new Said("Say that you see to it, or hand it over.", Optional.of(at)));
        return new NoticeText("%s: %s".formatted(subject, words), List.of(new Section(kind.label(), said)));
    }

    /**
     * @param words how it was while it lasted
     * @param asked whether somebody has still to decide about it
     */
    public static NoticeText over(NoticeKind kind, String subject, String words, boolean asked, String at) {
        List<Said> said = new ArrayList<>();
        said.add(new Said(words, Optional.empty()));
        if (asked) {
            said.add(new Said("Look at what hangs there and say what you decide.", Optional.of(at)));
        }
        return new NoticeText(over(kind, subject), List.of(new Section("Over", said)));
    }

    private static String over(NoticeKind kind, String subject) {
        return switch (kind) {
            case WARM -> subject + " is cold again";
            case SILENT -> "The probe of %s speaks again".formatted(subject);
            case HUMIDITY -> "The humidity of %s is near what it is set to again".formatted(subject);
            case DRYING -> subject + " dries as before again";
            case BACKUP -> "A backup was made again";
            case DISK -> "There is room on the disk again";
            case MORNING, QUESTION, TEST -> subject;
        };
    }

    /** What to do first. */
    private static Optional<String> advice(NoticeKind kind) {
        return switch (kind) {
            case WARM ->
                Optional.of("Door, power, compressor; move the meat to the cold if it does not fall soon. %s %s"
                        .formatted(Caution.HELD_COLD.sentence(), Caution.WARM.sentence()));
            case SILENT ->
                Optional.of("Nobody knows how warm it is there. Look at the probe, its power and the network.");
            case HUMIDITY ->
                Optional.of("Door, drain, fan, fresh load; or the chamber is set to what it never reaches.");
            case DRYING -> Optional.of("Forecasts made before no longer hold. Weigh a piece or two.");
            case BACKUP -> Optional.of("Until one is made, a broken disk takes all that was written since the last.");
            case DISK -> Optional.of("When it is full nothing more is written down.");
            case MORNING, QUESTION, TEST -> Optional.empty();
        };
    }
}
