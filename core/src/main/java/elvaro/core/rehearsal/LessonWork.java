package elvaro.core.rehearsal;

/** What a lesson is about. */
public enum LessonWork {
    /** One piece, from its hanging to the bench. */
    PIECE,
    /** Two pieces that are cut, and a table to ask which is liked better. */
    TASTING,
    /** A lot to make a trial of. */
    TRIAL
}
