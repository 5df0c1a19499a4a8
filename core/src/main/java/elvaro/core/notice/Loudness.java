package elvaro.core.notice;

/** How loudly something is told. */
public enum Loudness {
    /** To be read some time: that something is well again. */
    QUIET,
    NORMAL,
    /** Before all else; a phone rings although it is set to be still, where it lets itself be asked. */
    LOUD
}
