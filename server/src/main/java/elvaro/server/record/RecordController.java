package elvaro.server.record;

import java.time.LocalDate;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class RecordController {
    private static final String CSV = "text/csv;charset=UTF-8";

    private final RecordService service;

    RecordController(RecordService service) {
        this.service = service;
    }

    @GetMapping("/api/pieces/{id}/record")
    RecordView ofPiece(@PathVariable UUID id) {
        return service.ofPiece(id);
    }

    @GetMapping(path = "/api/pieces/{id}/record.csv", produces = CSV)
    ResponseEntity<String> fileOfPiece(@PathVariable UUID id) {
        return file(service.ofPiece(id));
    }

    /** @param from first day, @param to last day */
    @GetMapping("/api/chambers/{id}/record")
    RecordView ofChamber(@PathVariable UUID id, @RequestParam LocalDate from, @RequestParam LocalDate to) {
        return service.ofChamber(id, from, to);
    }

    @GetMapping(path = "/api/chambers/{id}/record.csv", produces = CSV)
    ResponseEntity<String> fileOfChamber(
            @PathVariable UUID id, @RequestParam LocalDate from, @RequestParam LocalDate to) {
        return file(service.ofChamber(id, from, to));
    }

    private static ResponseEntity<String> file(RecordView record) {
        String name = record.title().replaceAll("[^A-Za-z0-9]+", "-") + ".csv";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(RecordFile.write(record));
    }
}
