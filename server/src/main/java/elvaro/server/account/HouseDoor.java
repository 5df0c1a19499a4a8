package elvaro.server.account;

import elvaro.server.shared.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;

/** Lets the person of a session go over into another house, and back. The session's id changes each time. */
@Component
public class HouseDoor {
    private final SignInDirectory directory;
    private final HttpSessionSecurityContextRepository sessions = new HttpSessionSecurityContextRepository();

    HouseDoor(SignInDirectory directory) {
        this.directory = directory;
    }

    /** @param inside as whom they work from now on */
    public void goIn(SignedIn inside, HttpServletRequest request, HttpServletResponse response) {
        be(inside, request, response);
    }

    /** Back to who they are, as their account now stands; whoever is in no other house stays who they are. */
    public void goOut(SignedIn inside, HttpServletRequest request, HttpServletResponse response) {
        inside.outside().ifPresent(person -> {
            SignedIn now = directory
                    .find(person.accountId())
                    .filter(SignedIn::isEnabled)
                    .orElseThrow(() -> new IllegalStateException("The account of a session that stands is gone"));
            now.eraseCredentials();
            be(now, request, response);
        });
    }

    private void be(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, request, response);
    }
}
