package elvaro.server.program;

import java.util.ArrayList;
import java.util.List;
import org.springframework.data.domain.Page;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** A page of many as an answer: its rows, and where the others are, in headers, so that the rows are a plain list. */
final class Paged {
    static final String TOTAL = "Total-Count";

    private Paged() {}

    /** With links to the pages beside it, RFC 8288. */
    static <T> ResponseEntity<List<T>> of(Page<T> page) {
        List<String> links = new ArrayList<>();
        if (page.hasPrevious()) {
            links.add(link(page.getNumber() - 1, "prev"));
        }
        if (page.hasNext()) {
            links.add(link(page.getNumber() + 1, "next"));
        }
        HttpHeaders heads = new HttpHeaders();
        heads.set(TOTAL, String.valueOf(page.getTotalElements()));
        if (!links.isEmpty()) {
            heads.set(HttpHeaders.LINK, String.join(", ", links));
        }
        return ResponseEntity.ok().headers(heads).body(page.getContent());
    }

    private static String link(int page, String where) {
        String address = ServletUriComponentsBuilder.fromCurrentRequest()
                .replaceQueryParam("page", page)
                .toUriString();
        return "<%s>; rel=\"%s\"".formatted(address, where);
    }
}
