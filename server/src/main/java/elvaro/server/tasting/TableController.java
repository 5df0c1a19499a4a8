package elvaro.server.tasting;

import elvaro.server.shared.TakesUpTo;
import elvaro.server.tasting.TableService.TasterSheets;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A taster's phone, which has no account: its token opens its own sheets and nothing else. */
@RestController
class TableController {
    private static final String BEARER = "Bearer ";

    private final TableService service;

    TableController(TableService service) {
        this.service = service;
    }

    @GetMapping("/taste/sheets")
    TasterSheets sheets(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return service.sheets(token(authorization), request.getRemoteAddr());
    }

    /** Hands a sheet in; sent again, it is there once. */
    @TakesUpTo(TakesUpTo.FROM_STRANGERS)
    @PutMapping("/taste/sheets/{sheetId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void handIn(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request,
            @PathVariable UUID sheetId,
            @RequestBody @Valid SheetForm form) {
        service.handIn(token(authorization), request.getRemoteAddr(), sheetId, form);
    }

    private static String token(String authorization) {
        return authorization.startsWith(BEARER) ? authorization.substring(BEARER.length()) : "";
    }
}
