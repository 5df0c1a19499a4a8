package elvaro.core.cut;

/** The outline a piece is drawn in. The drawing itself belongs to the interface; the class belongs to the cut. */
public enum ShapeClass {
    EYE_WITH_CAP,
    FLAT,
    SADDLE,
    QUARTER,
    BIRD,
    FISH
}
