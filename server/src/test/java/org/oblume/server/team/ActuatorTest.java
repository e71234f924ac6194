package org.oblume.server.team;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.Filter;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** How the server does is told to whoever sits at the machine, and to a lead. */
@ServerTest
class ActuatorTest {

    @Autowired
    private Api api;

    @Autowired
    @Qualifier("springSecurityFilterChain")
    private Filter security;

    @Test
    void atTheMachineItTellsHowItDoesAndNothingOfHowItIsSet() {
        assertThat(api.stranger().get("/actuator/health").body().get("status").asText())
                .isEqualTo("UP");
        assertThat(api.stranger().get("/actuator/metrics").status()).isEqualTo(200);
        assertThat(api.stranger().get("/actuator/info").status()).isEqualTo(200);
        assertThat(api.stranger().get("/actuator/env").status()).isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource({"192.0.2.7, 401", "127.0.0.1, 200", "::1, 200"})
    void fromAnotherDeviceAStrangerHearsNothing(String from, int status) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/actuator/health");
        request.setServletPath("/actuator/health");
        request.setRemoteAddr(from);
        MockHttpServletResponse response = new MockHttpServletResponse();
        security.doFilter(request, response, new MockFilterChain());
        assertThat(response.getStatus()).isEqualTo(status);
    }
}
