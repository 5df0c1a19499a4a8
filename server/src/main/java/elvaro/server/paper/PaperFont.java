package elvaro.server.paper;

import com.lowagie.text.Font;
import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.FontSelector;
import java.awt.Color;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;

/**
 * The letters on paper, those of the screen, embedded. They have the letters of western and middle Europe; for others, as
 * Greek and Cyrillic ones, a second face stands in.
 */
public enum PaperFont {
    PLAIN("faces/archivo-400.ttf", "liberation/LiberationSans-Regular.ttf"),
    BOLD("faces/archivo-640.ttf", "liberation/LiberationSans-Bold.ttf"),
    HEADING("faces/rokkitt-650.ttf", "liberation/LiberationSans-Bold.ttf");

    private final BaseFont own;
    private final BaseFont everyLetter;

    PaperFont(String own, String everyLetter) {
        this.own = read(own);
        this.everyLetter = read(everyLetter);
    }

    private static BaseFont read(String file) {
        try (InputStream font = BaseFont.class.getClassLoader().getResourceAsStream(file)) {
            byte[] bytes = Objects.requireNonNull(font, file).readAllBytes();
            return BaseFont.createFont(file, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, true, bytes, null);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /** One face that has every letter of a text: the product's own where it can. */
    public BaseFont base(String words) {
        return words.codePoints().allMatch(own::charExists) ? own : everyLetter;
    }

    /** @param size in points */
    Phrase phrase(String words, float size, Color colour) {
        FontSelector selector = new FontSelector();
        selector.addFont(new Font(own, size, Font.NORMAL, colour));
        selector.addFont(new Font(everyLetter, size, Font.NORMAL, colour));
        return selector.process(words);
    }
}
