package elvaro.server.record;

import elvaro.server.shared.CsvFile;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class RecordController {
    private final RecordService service;
    private final PeriodReport report;

    RecordController(RecordService service, PeriodReport report) {
        this.service = service;
        this.report = report;
    }

    @GetMapping("/api/pieces/{id}/record")
    RecordView ofPiece(@PathVariable UUID id) {
        return service.ofPiece(id);
    }

    @GetMapping(path = "/api/pieces/{id}/record.csv", produces = CsvFile.TYPE)
    ResponseEntity<String> fileOfPiece(@PathVariable UUID id) {
        return file(service.ofPiece(id));
    }

    /** @param from first day, @param to last day */
    @GetMapping("/api/chambers/{id}/record")
    RecordView ofChamber(@PathVariable UUID id, @RequestParam LocalDate from, @RequestParam LocalDate to) {
        return service.ofChamber(id, from, to);
    }

    @GetMapping(path = "/api/chambers/{id}/record.csv", produces = CsvFile.TYPE)
    ResponseEntity<String> fileOfChamber(
            @PathVariable UUID id, @RequestParam LocalDate from, @RequestParam LocalDate to) {
        return file(service.ofChamber(id, from, to));
    }

    /** What was changed in the house. @param from first day, @param to last day */
    @GetMapping("/api/record/changes")
    RecordView ofChanges(@RequestParam LocalDate from, @RequestParam LocalDate to) {
        return service.ofChanges(from, to);
    }

    @GetMapping(path = "/api/record/changes.csv", produces = CsvFile.TYPE)
    ResponseEntity<String> fileOfChanges(@RequestParam LocalDate from, @RequestParam LocalDate to) {
        return file(service.ofChanges(from, to));
    }

    /** All the house over some days. @param from first day, @param to last day */
    @GetMapping(path = "/api/record/report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] report(@RequestParam LocalDate from, @RequestParam LocalDate to) {
        return report.pdf(from, to);
    }

    private static ResponseEntity<String> file(RecordView record) {
        return CsvFile.attached(record.title() + ".csv", RecordFile.write(record));
    }
}
