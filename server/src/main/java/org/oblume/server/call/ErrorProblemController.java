package org.oblume.server.call;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.oblume.server.support.ProblemType;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What fails before or behind the controllers is a problem document too. */
@ForAnyone
@Hidden
@RestController
class ErrorProblemController implements ErrorController {

    @RequestMapping("${server.error.path:/error}")
    ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
        if (!(request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer status)) {
            return answer(
                    ProblemType.NOT_FOUND, HttpStatus.NOT_FOUND.value(), "There is nothing at this address: check it.");
        }
        return status >= HttpStatus.INTERNAL_SERVER_ERROR.value()
                ? answer(
                        ProblemType.FAILED,
                        status,
                        "The server failed at this. Load the page again to see what is kept, then try once more.")
                : answer(ProblemType.NOT_SUPPORTED, status, "This cannot be done here (%d).".formatted(status));
    }

    private static ResponseEntity<ProblemDetail> answer(ProblemType type, int status, String sentence) {
        ProblemDetail problem = type.saying(sentence);
        problem.setStatus(status);
        return ResponseEntity.status(status).body(problem);
    }
}
