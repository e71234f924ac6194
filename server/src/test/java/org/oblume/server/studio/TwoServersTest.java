package org.oblume.server.studio;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.oblume.server.Api;
import org.oblume.server.OblumeApplication;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;

/** Two servers on one PostgreSQL: what is written at one is read at the other at once, and its pages are told. */
@ServerTest
@EnabledIfSystemProperty(named = "oblume.test.postgres", matches = ".+")
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TwoServersTest {

    @Autowired
    private Api one;

    @Autowired
    private Environment settings;

    private ConfigurableApplicationContext second;
    private Api other;

    @BeforeAll
    void aSecondServer() {
        second = new SpringApplicationBuilder(OblumeApplication.class, Api.class)
                .profiles("demo", "test")
                .run(
                        "--server.port=0",
                        "--spring.datasource.url=" + settings.getProperty("spring.datasource.url"),
                        "--spring.datasource.username=oblume");
        other = second.getBean(Api.class).as("LEAD");
    }

    @AfterAll
    void stop() {
        second.close();
    }

    @Test
    void anEditAtOneIsReadAtTheOtherAndItsPagesAreTold() throws Exception {
        other.get("/api/shots/%d/plot".formatted(one.shot("4C"))); // it keeps the scene from here on
        try (Api.Stream stream = other.listen("page-there")) {
            long shot = one.shotFrom("4T", one.shot("4C"));
            stream.until("changed", "BOOK");
            for (int percent = 11; percent < 20; percent++) {
                one.tie(
                        shot,
                        "key",
                        "LEVEL",
                        "{\"text\":\"%d\",\"reason\":\"MATCH\"}".formatted(percent),
                        percent - 11);
                stream.until("changed", "\"shotId\":" + shot);
                assertThat(other.say(shot, "key", "LEVEL")).isEqualTo(percent + " %");
            }
        }
    }

    @Test
    void whoJoinsAtOneMayWorkAtTheOther() throws Exception {
        other.get("/api/team");
        try (Api.Stream stream = other.listen("page-2-there")) {
            one.joined("islander", "CREW");
            stream.until("changed", "TEAM");
            assertThat(other.get("/api/team").body().get("members").toString()).contains("islander");
        }
    }
}
