package elvaro.server.shared;

import com.lowagie.text.pdf.BaseFont;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;

/** The letters on paper: one sturdy face, embedded, with every European letter. */
public enum PaperFont {
    PLAIN("LiberationSans-Regular.ttf"),
    BOLD("LiberationSans-Bold.ttf");

    private final BaseFont base;

    PaperFont(String file) {
        try (InputStream font = BaseFont.class.getClassLoader().getResourceAsStream("liberation/" + file)) {
            byte[] bytes = Objects.requireNonNull(font, file).readAllBytes();
            base = BaseFont.createFont(file, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, true, bytes, null);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    public BaseFont base() {
        return base;
    }
}
