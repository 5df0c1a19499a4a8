package elvaro.server.shared;

import elvaro.core.working.Units;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.ConstraintViolationException;
import java.net.URI;
import java.sql.SQLException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springdoc.api.OpenApiResourceNotFoundException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Every failure as an RFC 9457 problem: a stable type, the field, and a sentence to act on. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    /** When to ask again what could not be answered just now. */
    static final String RETRY_AFTER_SECONDS = "5";

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    static ProblemDetail problem(HttpStatusCode status, String type, @Nullable String field, String sentence) {
        String plain = Units.PLAIN.sentence(sentence); // for programs; a screen writes the sentence for its reader
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, plain);
        if (!plain.equals(sentence)) {
            problem.setProperty("sentence", sentence);
        }
        problem.setType(URI.create("urn:elvaro:" + type));
        if (field != null) {
            problem.setProperty("field", field);
        }
        return problem;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refusal refusal) {
        return answered(said(refusal));
    }

    private static ProblemDetail said(Refusal refusal) {
        ProblemDetail problem = problem(refusal.status(), refusal.type(), refusal.field(), refusal.sentence());
        if (!refusal.questions().isEmpty()) {
            problem.setProperty("questions", refusal.questions());
        }
        return problem;
    }

    @ExceptionHandler(OptimisticLockingFailureException.class)
    ProblemDetail changedMeanwhile() {
        return said(Refusal.changedMeanwhile());
    }

    @ExceptionHandler
    ProblemDetail refusedByTheDatabase(DataIntegrityViolationException clash) {
        return clash(clash.getMostSpecificCause());
    }

    /** The same, of a service that wrote before its transaction's end. */
    @ExceptionHandler
    ProblemDetail refusedByTheDatabase(org.hibernate.exception.ConstraintViolationException clash) {
        return clash(clash.getSQLException());
    }

    private static ProblemDetail clash(Throwable why) {
        LOG.warn("Refused by the database: {}", why.getMessage());
        boolean malformed = why instanceof SQLException cause
                && String.valueOf(cause.getSQLState()).startsWith("22");
        if (malformed) {
            return problem(
                    HttpStatus.UNPROCESSABLE_ENTITY, "invalid", null, "A value has the wrong form. Nothing was saved.");
        }
        return problem(
                HttpStatus.CONFLICT,
                "clash",
                null,
                "Something with the same name or number is there already. Nothing was saved.");
    }

    @ExceptionHandler
    ProblemDetail violated(ConstraintViolationException violation) {
        return problem(HttpStatus.UNPROCESSABLE_ENTITY, "invalid", null, violation.getMessage());
    }

    @ExceptionHandler(OpenApiResourceNotFoundException.class)
    ProblemDetail noSuchDocument() {
        return said(Refusal.notFound("document"));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unexpected(Exception failure, HttpServletRequest request) throws Exception {
        if (failure instanceof org.springframework.security.access.AccessDeniedException denied) {
            throw denied; // The security chain answers this one.
        }
        return answered(of(request, failure));
    }

    /** What is to be said of a failure that no rule of the house foresaw. */
    static ProblemDetail of(HttpServletRequest request, Exception failure) {
        if (failure instanceof Refusal refusal) {
            return said(refusal);
        }
        Optional<DatabaseFailure> database = DatabaseFailure.of(failure);
        if (database.isPresent()) {
            LOG.warn("{} {}: {}", request.getMethod(), request.getRequestURI(), failure.getMessage());
            return problem(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    database.get().type(),
                    null,
                    database.get().sentence());
        }
        LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), failure);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "unexpected",
                null,
                "Something went wrong here that should not. Try again: it is saved once. If it stays, tell the owner.");
    }

    private static ResponseEntity<ProblemDetail> answered(ProblemDetail problem) {
        var answer = ResponseEntity.status(problem.getStatus());
        if (problem.getStatus() == HttpStatus.SERVICE_UNAVAILABLE.value()) {
            answer.header(HttpHeaders.RETRY_AFTER, RETRY_AFTER_SECONDS);
        }
        return answer.body(problem);
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException invalid, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        FieldError error = invalid.getBindingResult().getFieldError();
        String field = error == null ? null : error.getField();
        String sentence = error == null ? "A value is missing or wrong." : String.valueOf(error.getDefaultMessage());
        HttpStatus answer = HttpStatus.UNPROCESSABLE_ENTITY;
        return handleExceptionInternal(invalid, problem(answer, "invalid", field, sentence), headers, answer, request);
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleHandlerMethodValidationException(
            HandlerMethodValidationException invalid, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        var wrong = invalid.getParameterValidationResults().get(0);
        String field = wrong.getMethodParameter().getParameterName();
        String sentence = String.valueOf(wrong.getResolvableErrors().get(0).getDefaultMessage());
        HttpStatus answer = HttpStatus.UNPROCESSABLE_ENTITY;
        return handleExceptionInternal(invalid, problem(answer, "invalid", field, sentence), headers, answer, request);
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException unreadable,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        Throwable beneath = unreadable.getMostSpecificCause();
        if (beneath instanceof Refusal refusal) { // of the body itself, as too large
            return handleExceptionInternal(unreadable, said(refusal), headers, refusal.status(), request);
        }
        ProblemDetail problem = problem(
                HttpStatus.BAD_REQUEST,
                "unreadable",
                null,
                "The request could not be read: a value has the wrong form. Nothing was saved.");
        return handleExceptionInternal(unreadable, problem, headers, HttpStatus.BAD_REQUEST, request);
    }

    /** The session is kept as the answer begins; a database that goes away just then is one that is away. */
    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotWritable(
            HttpMessageNotWritableException unwritten, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (DatabaseFailure.of(unwritten).isEmpty()) {
            return super.handleHttpMessageNotWritable(unwritten, headers, status, request);
        }
        ProblemDetail problem = of(((ServletWebRequest) request).getRequest(), unwritten);
        HttpHeaders later = new HttpHeaders(headers);
        later.set(HttpHeaders.RETRY_AFTER, RETRY_AFTER_SECONDS);
        return handleExceptionInternal(unwritten, problem, later, HttpStatusCode.valueOf(problem.getStatus()), request);
    }
}
