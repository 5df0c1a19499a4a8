package elvaro.server.chamber;

/** What kind of cold place a chamber is. */
public enum ChamberKind {
    CABINET,
    WALK_IN,
    REFRIGERATOR,
    SHED,
    ICE_CHEST
}
