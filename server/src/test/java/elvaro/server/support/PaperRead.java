package elvaro.server.support;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;

/** What is on paper, read back by programs that are not ours. */
public final class PaperRead {
    private PaperRead() {}

    /** Fetches a PDF into a folder. */
    public static Path pdf(Client client, String path, Path folder) throws IOException {
        return Files.write(
                folder.resolve("paper.pdf"),
                client.bytes("GET", path, new byte[0]).body());
    }

    /** The words of a PDF as poppler reads them, line by line. */
    public static String words(Client client, String path, Path folder) throws Exception {
        return run("pdftotext", "-layout", pdf(client, path, folder).toString(), "-");
    }

    /** How many points of a PDF's first page have a colour, drawn by poppler at 72 dots an inch. */
    public static long dots(Client client, String path, Path folder, int colour) throws Exception {
        Path page = folder.resolve("page");
        run(
                "pdftoppm",
                "-png",
                "-r",
                "72",
                "-singlefile",
                pdf(client, path, folder).toString(),
                page.toString());
        BufferedImage drawn = ImageIO.read(folder.resolve("page.png").toFile());
        return IntStream.range(0, drawn.getWidth() * drawn.getHeight())
                .filter(dot -> (drawn.getRGB(dot % drawn.getWidth(), dot / drawn.getWidth()) & 0xffffff) == colour)
                .count();
    }

    /** Runs a program and returns what it said. */
    public static String run(String... words) throws Exception {
        Process process = new ProcessBuilder(words).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        process.waitFor();
        return said;
    }
}
