package org.oblume.server.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
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
import org.springframework.context.ApplicationEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.JdbcTemplate;

/** Two servers on one PostgreSQL: what is written at one is read at the other at once, and its pages are told. */
@ServerTest
@EnabledIfSystemProperty(named = "oblume.test.postgres", matches = ".+")
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TwoServersTest {

    @Autowired
    private Api one;

    @Autowired
    private Environment settings;

    @Autowired
    private JdbcTemplate sql;

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
    void anEditWaitsUntilItsServerHasHeardWhatTheOtherWroteBefore() throws Exception {
        long shot = one.shotFrom("4U", one.shot("4C"));
        try (Api.Stream stream = other.listen("page-of-4U")) {
            level(one, shot, 40, 0);
            stream.until("changed", "\"shotId\":" + shot);
        }
        other.get("/api/shots/%d/plot".formatted(shot)); // it keeps the scene with 40 %
        CountDownLatch held = new CountDownLatch(1);
        CountDownLatch letGo = new CountDownLatch(1);
        ApplicationListener<ApplicationEvent> slow = event -> {
            if (Thread.currentThread().getName().equals("studio")) {
                held.countDown();
                await(letGo);
            }
        };
        second.addApplicationListener(slow);
        try {
            one.joined("somebody", "CREW");
            await(held);
            assertThat(level(one, shot, 50, 1)).isEqualTo(tag(2));
            CompletableFuture<String> edit = CompletableFuture.supplyAsync(() -> level(other, shot, 40, 2));
            assertThatThrownBy(() -> edit.get(200, TimeUnit.MILLISECONDS)).isInstanceOf(TimeoutException.class);
            letGo.countDown();
            assertThat(edit.get(20, TimeUnit.SECONDS))
                    .as("40 % is what stood there before the other’s edit")
                    .isEqualTo(tag(3));
        } finally {
            letGo.countDown();
            second.removeApplicationListener(slow);
        }
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(20, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    @Test
    void aServerThatDidNotHearReadsAnewBeforeItEditsAndItsPagesDoOnceItHearsAgain() throws Exception {
        long shot = one.shotFrom("4V", one.shot("4C"));
        level(one, shot, 40, 0);
        other.get("/api/shots/%d/plot".formatted(shot));
        try (Api.Stream here = one.listen("page-of-one");
                Api.Stream there = other.listen("page-of-other")) {
            sql.queryForList(
                    "select pg_terminate_backend(pid) from pg_stat_activity where query like 'listen%' and datname = current_database()");
            assertThat(level(one, shot, 50, 1)).isEqualTo(tag(2));
            assertThat(level(other, shot, 40, 2)).isEqualTo(tag(3));
            here.until("changed", "COPIES");
            there.until("changed", "COPIES");
        }
    }

    /** Sets the key’s level; answers with the tag of the value that was recorded by that. */
    private static String level(Api at, long shot, int percent, long revision) {
        return at.tie(shot, "key", "LEVEL", "{\"text\":\"%d\",\"reason\":\"MATCH\"}".formatted(percent), revision)
                .etag();
    }

    private static String tag(int revision) {
        return "\"%d\"".formatted(revision);
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
