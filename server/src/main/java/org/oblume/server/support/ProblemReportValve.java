package org.oblume.server.support;

import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** What never comes as far as a filter, such as an address that cannot be one, is refused with a sentence too, not with a page of the container's. */
public final class ProblemReportValve extends ErrorReportValve {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemReportValve.class);

    @Override
    protected void report(Request request, Response response, @Nullable Throwable failed) {
        int status = response.getStatus();
        if (status < HttpStatus.BAD_REQUEST.value()
                || response.getContentWritten() > 0
                || !response.setErrorReported()) {
            return;
        }
        try {
            if (status >= HttpStatus.INTERNAL_SERVER_ERROR.value()) {
                LOG.warn("A call failed before it was understood", failed);
                ProblemType.FAILED.answer(
                        response.getResponse(),
                        "The server failed at this. Load the page again to see what is kept, then try once more.");
            } else {
                ProblemType.UNREADABLE.answer(
                        response.getResponse(),
                        "This address or what was sent with it cannot be read. Load the page again, then try once more.");
            }
            response.finishResponse();
        } catch (IOException gone) {
            LOG.debug("Nobody waits for the answer any more", gone);
        }
    }

    @Component
    static final class Installed implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

        @Override
        public void customize(TomcatServletWebServerFactory factory) {
            factory.addContextCustomizers(context -> {
                if (context.getParent() instanceof StandardHost host) {
                    host.setErrorReportValveClass(ProblemReportValve.class.getName());
                }
            });
        }
    }
}
