package org.oblume.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.CannotCreateTransactionException;

class StoredProblemsTest {

    private final RecordFile file = mock(RecordFile.class);
    private final StoredProblems.Outermost outermost = new StoredProblems.Outermost(file);
    private final MockHttpServletRequest request = new MockHttpServletRequest("GET", "/api/book");
    private final MockHttpServletResponse response = new MockHttpServletResponse();

    @Test
    void whoWaitedForAConnectionInVainIsToldToComeAgain() throws Exception {
        outermost.doFilter(request, response, (asked, answer) -> {
            throw new CannotCreateTransactionException("none", new SQLTransientConnectionException("timed out"));
        });
        assertThat(response.getStatus()).isEqualTo(503);
        assertThat(response.getHeader("Retry-After")).isEqualTo("10");
        assertThat(response.getContentAsString())
                .contains("urn:oblume:problem:busy")
                .contains("try again in a moment");
        verify(file, never()).reopenWhenClosed();
    }

    @Test
    void whatIsNotOfTheDatabaseIsToldByWhoeverKnowsIt() {
        assertThatThrownBy(() -> outermost.doFilter(request, response, (asked, answer) -> {
                    throw new IllegalStateException("boom");
                }))
                .hasMessage("boom");
        assertThat(response.getContentAsByteArray()).isEmpty();
    }
}
