package elvaro.server.channel;

/** A way on which messages leave the house. */
public enum ChannelKind {
    EMAIL("E-mail"),
    PUSH("Phone"),
    WEBHOOK("Other program");

    private final String label;

    ChannelKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
