package elvaro.server.guard;

import jakarta.servlet.ServletException;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;

/** What is left of a body that came too slowly is not waited for: the connection ends. */
class SlowBodyValve extends ValveBase {
    static final String SLOW = SlowBodyValve.class.getName();

    SlowBodyValve() {
        super(true);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        getNext().invoke(request, response);
        if (request.getAttribute(SLOW) != null) {
            request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
        }
    }
}
