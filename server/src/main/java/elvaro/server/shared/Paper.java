package elvaro.server.shared;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfWriter;
import elvaro.core.working.Units;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.util.Arrays;
import java.util.List;

/**
 * A sheet of A4 as it is printed: a title, sentences, tables of hairlines. Written from top to bottom, read once.
 *
 * <pre>{@code new Paper("Bench, 25A", "Strip loin", units).heading("Piles").table(head, rows).pdf()}</pre>
 */
public final class Paper {
    private static final float MARGIN = 48;

    /** The column of names against the others. */
    private static final float NAMES_WIDTH = 1.8f;

    private static final Color INK = new Color(0x24, 0x1a, 0x1b);
    private static final Color HAIR = new Color(0xb9, 0xae, 0xa2);
    private static final Font TITLE = new Font(PaperFont.BOLD.base(), 20, Font.NORMAL, INK);
    private static final Font HEADING = new Font(PaperFont.BOLD.base(), 13, Font.NORMAL, INK);
    private static final Font STRONG = new Font(PaperFont.BOLD.base(), 10, Font.NORMAL, INK);
    private static final Font PLAIN = new Font(PaperFont.PLAIN.base(), 10, Font.NORMAL, INK);

    private final Units units;
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final Document document = new Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN);

    /**
     * @param under stands below the title, may be empty
     * @param units of the person who prints it, in which every quantity is written
     */
    public Paper(String title, String under, Units units) {
        this.units = units;
        PdfWriter.getInstance(document, bytes);
        document.addTitle(title);
        document.open();
        document.add(new Paragraph(title, TITLE));
        sentence(under);
    }

    public Paper heading(String words) {
        Paragraph heading = new Paragraph(words, HEADING);
        heading.setSpacingBefore(14);
        heading.setSpacingAfter(4);
        document.add(heading);
        return this;
    }

    /** Left out where there is nothing to say. */
    public Paper sentence(String words) {
        if (!words.isBlank()) {
            Paragraph paragraph = new Paragraph(units.sentence(words), PLAIN);
            paragraph.setSpacingBefore(3);
            document.add(paragraph);
        }
        return this;
    }

    /**
     * @param head of each column
     * @param rows as long as the head; the first column is named in bold
     */
    public Paper table(List<String> head, List<List<String>> rows) {
        float[] widths = new float[head.size()];
        Arrays.fill(widths, 1);
        widths[0] = NAMES_WIDTH;
        PdfPTable table = new PdfPTable(widths);
        table.setWidthPercentage(100);
        table.setSpacingBefore(6);
        table.setHeaderRows(1);
        head.forEach(words -> table.addCell(cell(words, STRONG)));
        for (List<String> row : rows) {
            if (row.size() != head.size()) {
                throw new IllegalArgumentException("A row is as long as the head of its table");
            }
            for (int column = 0; column < row.size(); column++) {
                table.addCell(cell(row.get(column), column == 0 ? STRONG : PLAIN));
            }
        }
        document.add(table);
        return this;
    }

    private PdfPCell cell(String words, Font font) {
        PdfPCell cell = new PdfPCell(new Phrase(units.sentence(words), font));
        cell.setBorder(Rectangle.TOP);
        cell.setBorderColor(HAIR);
        cell.setPaddingTop(4);
        cell.setPaddingBottom(6);
        cell.setHorizontalAlignment(Element.ALIGN_LEFT);
        return cell;
    }

    /** Ends the sheet. */
    public byte[] pdf() {
        document.close();
        return bytes.toByteArray();
    }
}
