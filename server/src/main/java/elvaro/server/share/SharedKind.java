package elvaro.server.share;

/** What can be shown around. */
public enum SharedKind {
    TRIAL("/s/trial/"),
    PIECE("/s/piece/");

    private final String path;

    SharedKind(String path) {
        this.path = path;
    }

    String path(String token) {
        return path + token;
    }
}
