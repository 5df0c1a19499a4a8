package elvaro.server.exchange;

import elvaro.server.exchange.ArchiveTaken.ArchiveLine;
import elvaro.server.shared.TakesUpTo;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Files that go out and come in. All of the house is in them, so they are the owner's. */
@RestController
@PreAuthorize("hasRole('OWNER')")
class ExchangeController {
    private static final String WORKBOOK = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
    private static final String LINES = "application/x-ndjson";

    private final ExchangeService service;
    private final JsonMapper json;

    ExchangeController(ExchangeService service, JsonMapper json) {
        this.service = service;
        this.json = json;
    }

    /** The whole record as an archive; written while it is read. */
    @GetMapping(path = "/api/exchange/archive.zip", produces = "application/zip")
    void archive(HttpServletResponse response) throws IOException {
        attach(response, "application/zip", ".zip");
        service.archive(response.getOutputStream());
    }

    /** The same as a tabular data package: a CSV file a table, and a descriptor. */
    @GetMapping(path = "/api/exchange/tables.zip", produces = "application/zip")
    void tables(HttpServletResponse response) throws IOException {
        attach(response, "application/zip", "-tables.zip");
        service.dataPackage(response.getOutputStream());
    }

    /** The same as a workbook, but for the air. */
    @GetMapping(path = "/api/exchange/workbook.xlsx", produces = WORKBOOK)
    void workbook(HttpServletResponse response) throws IOException {
        attach(response, WORKBOOK, ".xlsx");
        service.spreadsheet(response.getOutputStream());
    }

    /**
     * Takes an archive in. The answer comes line by line while it is read, each line a JSON object; the last one says what
     * was taken, or why nothing was.
     *
     * @param dry goes the whole way and changes nothing
     */
    @TakesUpTo(TakesUpTo.AS_IT_COMES)
    @PostMapping(path = "/api/exchange/archive", consumes = "application/zip", produces = LINES)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = LINES, schema = @Schema(implementation = ArchiveLine.class)))
    void take(
            @RequestParam(defaultValue = "false") boolean dry,
            @Parameter(hidden = true) InputStream body,
            HttpServletResponse response)
            throws IOException {
        Path file = service.received(body);
        try {
            response.setContentType(LINES);
            response.flushBuffer(); // as with files
            OutputStream out = response.getOutputStream();
            ArchiveLine last = service.take(file, dry, line -> write(out, line));
            write(out, last);
        } finally {
            Files.delete(file);
        }
    }

    private void write(OutputStream out, ArchiveLine line) {
        try {
            out.write(json.writeValueAsBytes(line));
            out.write('\n');
            out.flush();
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
    }

    /** What is sent first keeps the session, which must not happen within the transaction that reads or writes the rows. */
    private void attach(HttpServletResponse response, String type, String ending) throws IOException {
        service.mustNotBeMany();
        response.setContentType(type);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(service.fileName() + ending)
                        .build()
                        .toString());
        response.flushBuffer();
    }
}
