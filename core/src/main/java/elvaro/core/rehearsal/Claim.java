package elvaro.core.rehearsal;

/** What somebody says that a tasting or a trial showed. */
public enum Claim {
    /** The first is liked better; the arm has less of what was asked than the control. */
    FIRST,
    /** The second is liked better; the arm has more. */
    SECOND,
    /** It does not tell. */
    NOT_SHOWN
}
