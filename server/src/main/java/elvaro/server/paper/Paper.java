package elvaro.server.paper;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Image;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfDestination;
import com.lowagie.text.pdf.PdfName;
import com.lowagie.text.pdf.PdfOutline;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfString;
import com.lowagie.text.pdf.PdfTemplate;
import com.lowagie.text.pdf.PdfWriter;
import elvaro.core.working.Units;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.PDFRenderer;

/**
 * A sheet as it is printed: a title, sentences, drawings, tables of hairlines. Written from top to bottom, read once: as a PDF
 * of A4, or as one picture.
 *
 * <pre>{@code Paper.a4("Bench, 25A", "Strip loin", units).heading("Piles").table(head, rows).pdf()}</pre>
 */
public final class Paper {
    private static final float MARGIN = 48;

    /** The column of names against the others. */
    private static final float NAMES_WIDTH = 1.8f;

    /** A picture is cut off where it ends; so high it may become, in points; a page of a PDF may have 14,400. */
    private static final float LONGEST = 14_000;

    private static final float DOTS_PER_INCH = 144;

    private static final float HEADING_ROOM = 24;

    private final Units units;
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final Document document;
    private final PdfWriter writer;

    private Paper(Rectangle page, String title, String under, Units units) {
        this.units = units;
        document = new Document(page, MARGIN, MARGIN, MARGIN, MARGIN);
        writer = PdfWriter.getInstance(document, bytes);
        writer.setStrictImageSequence(true);
        writer.setViewerPreferences(PdfWriter.DisplayDocTitle);
        writer.getExtraCatalog().put(PdfName.LANG, new PdfString("en")); // whatever the numbers of its reader
        document.addTitle(units.sentence(title));
        document.open();
        document.add(paragraph(PaperFont.HEADING, title, 22, 0));
        sentence(under);
    }

    /**
     * @param under stands below the title, may be empty
     * @param units of the person who prints it, in which every quantity is written
     */
    public static Paper a4(String title, String under, Units units) {
        return new Paper(PageSize.A4, title, under, units);
    }

    /** As {@link #a4}, but one long page in the colours of the screen, to be made a picture. */
    public static Paper longPage(String title, String under, Units units) {
        Rectangle page = new Rectangle(PageSize.A4.getWidth(), LONGEST);
        page.setBackgroundColor(PaperColour.GROUND);
        return new Paper(page, title, under, units);
    }

    /** Listed beside the page by readers of PDF; the library can mark nothing else of what a sheet is made of. */
    public Paper heading(String words) {
        document.add(headed(words));
        PdfDestination place =
                new PdfDestination(PdfDestination.FITH, writer.getVerticalPosition(false) + HEADING_ROOM);
        new PdfOutline(writer.getRootOutline(), place, written(words));
        return this;
    }

    private Paragraph headed(String words) {
        Paragraph heading = paragraph(PaperFont.HEADING, words, 14, 14);
        heading.setSpacingAfter(4);
        return heading;
    }

    /** Left out where there is nothing to say. */
    public Paper sentence(String words) {
        if (!words.isBlank()) {
            document.add(paragraph(PaperFont.PLAIN, words, 10, 3));
        }
        return this;
    }

    /** What the eye is to land on. */
    public Paper answer(String words) {
        document.add(paragraph(PaperFont.BOLD, words, 14, 6));
        return this;
    }

    /** A sentence with its quantities as its reader has them. */
    public String written(String words) {
        return units.sentence(words);
    }

    private Paragraph paragraph(PaperFont font, String words, float size, float before) {
        Paragraph paragraph = new Paragraph(font.phrase(written(words), size, PaperColour.INK));
        paragraph.setLeading(size * 1.35f);
        paragraph.setSpacingBefore(before);
        return paragraph;
    }

    /** Over the whole width. */
    public Paper drawing(Drawing drawing) {
        Image image = image(drawing, document.right() - document.left());
        image.setSpacingBefore(6);
        document.add(image);
        return this;
    }

    /** The same, on one sheet with its heading. */
    public Paper drawing(String heading, Drawing drawing) {
        PdfPCell cell = new PdfPCell();
        cell.setBorder(Rectangle.NO_BORDER);
        cell.setPadding(0);
        cell.addElement(headed(heading));
        cell.addElement(image(drawing, document.right() - document.left()));
        PdfPTable together = new PdfPTable(1);
        together.setWidthPercentage(100);
        together.setKeepTogether(true);
        together.addCell(cell);
        document.add(together);
        return this;
    }

    private Image image(Drawing drawing, float width) {
        float height = drawing.height(width);
        PdfTemplate canvas = writer.getDirectContent().createTemplate(width, height);
        drawing.draw(canvas, width);
        return Image.getInstance(canvas);
    }

    /**
     * One of several that stand side by side, as the arms of a trial.
     *
     * @param photos JPEG
     */
    public record Column(
            String title, List<String> sentences, List<Drawing> drawings, List<byte[]> photos, List<String> foot) {}

    /** Side by side, at most three in a row, each under a line of its colour. */
    public Paper columns(List<Column> columns) {
        int across = Math.min(3, columns.size());
        PdfPTable table = new PdfPTable(across);
        table.setWidthPercentage(100);
        table.setSpacingBefore(8);
        float width = (document.right() - document.left()) / across - 12;
        for (int number = 0; number < columns.size(); number++) {
            table.addCell(cell(columns.get(number), PaperColour.arm(number), width));
        }
        table.completeRow();
        document.add(table);
        return this;
    }

    private PdfPCell cell(Column column, Color colour, float width) {
        PdfPCell cell = new PdfPCell();
        cell.setBorder(Rectangle.TOP);
        cell.setBorderColorTop(colour);
        cell.setBorderWidthTop(3);
        cell.setPaddingRight(12);
        cell.setPaddingBottom(12);
        cell.addElement(paragraph(PaperFont.HEADING, column.title(), 13, 0));
        column.sentences().forEach(each -> cell.addElement(paragraph(PaperFont.PLAIN, each, 9, 2)));
        for (Drawing drawing : column.drawings()) {
            Image image = image(drawing, width);
            image.setSpacingBefore(4);
            cell.addElement(image);
        }
        column.foot().forEach(each -> cell.addElement(paragraph(PaperFont.PLAIN, each, 9, 2)));
        for (byte[] photo : column.photos()) {
            cell.addElement(photo(photo, width));
        }
        return cell;
    }

    /** @param jpeg shown at half the width */
    public Paper photo(byte[] jpeg) {
        document.add(photo(jpeg, (document.right() - document.left()) / 2));
        return this;
    }

    private static Image photo(byte[] jpeg, float width) {
        try {
            Image image = Image.getInstance(jpeg);
            image.scaleToFit(width, width);
            image.setSpacingBefore(4);
            return image;
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
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
        head.forEach(words -> table.addCell(cell(words, PaperFont.BOLD)));
        for (List<String> row : rows) {
            if (row.size() != head.size()) {
                throw new IllegalArgumentException("A row is as long as the head of its table");
            }
            for (int column = 0; column < row.size(); column++) {
                table.addCell(cell(row.get(column), column == 0 ? PaperFont.BOLD : PaperFont.PLAIN));
            }
        }
        document.add(table);
        return this;
    }

    private PdfPCell cell(String words, PaperFont font) {
        PdfPCell cell = new PdfPCell(font.phrase(written(words), 10, PaperColour.INK));
        cell.setBorder(Rectangle.TOP);
        cell.setBorderColor(PaperColour.HAIR);
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

    /** Ends the sheet, as a PNG as high as it is written. */
    public byte[] picture() {
        float end = Math.max(0, writer.getVerticalPosition(true) - MARGIN);
        document.close();
        try (PDDocument pages = Loader.loadPDF(bytes.toByteArray());
                ByteArrayOutputStream png = new ByteArrayOutputStream()) {
            pages.getPage(0).setCropBox(new PDRectangle(0, end, PageSize.A4.getWidth(), LONGEST - end));
            ImageIO.write(new PDFRenderer(pages).renderImageWithDPI(0, DOTS_PER_INCH), "png", png);
            return png.toByteArray();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
