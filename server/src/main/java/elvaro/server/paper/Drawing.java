package elvaro.server.paper;

import com.lowagie.text.pdf.PdfContentByte;

/** Something drawn on paper; lengths in points, the origin below on the left. */
public interface Drawing {
    /** How high it is where it is so wide. */
    float height(float width);

    void draw(PdfContentByte canvas, float width);
}
