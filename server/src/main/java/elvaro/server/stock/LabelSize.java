package elvaro.server.stock;

/** Labels as they are sold, millimetres. */
public enum LabelSize {
    THERMAL_57_32("57 × 32 mm, one after the other", 57, 32, 1, 1, 0, 0),
    THERMAL_62_29("62 × 29 mm, one after the other", 62, 29, 1, 1, 0, 0),
    THERMAL_100_50("100 × 50 mm, one after the other", 100, 50, 1, 1, 0, 0),
    SHEET_70_37("70 × 37 mm, 24 on a sheet of A4", 70, 37, 3, 8, 0, 0.5),
    SHEET_99_68("99.1 × 67.7 mm, 8 on a sheet of A4", 99.1, 67.7, 2, 4, 4.65, 13.1);

    private final String label;
    private final double width;
    private final double height;
    private final int columns;
    private final int rows;
    private final double left;
    private final double top;

    LabelSize(String label, double width, double height, int columns, int rows, double left, double top) {
        this.label = label;
        this.width = width;
        this.height = height;
        this.columns = columns;
        this.rows = rows;
        this.left = left;
        this.top = top;
    }

    public String label() {
        return label;
    }

    double width() {
        return width;
    }

    double height() {
        return height;
    }

    int columns() {
        return columns;
    }

    boolean isSheet() {
        return columns * rows > 1;
    }

    int onAPage() {
        return columns * rows;
    }

    double left() {
        return left;
    }

    double top() {
        return top;
    }
}
