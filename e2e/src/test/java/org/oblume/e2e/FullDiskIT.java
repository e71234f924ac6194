package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** A disk that is full takes no edits; everything can be read, and the device keeps what it was told until there is room. */
class FullDiskIT {

    @Test
    void whatIsRecordedCanBeReadAndAnEditWaitsOnTheDevice() throws Exception {
        Path data = RunningOblume.newData();
        try (RunningOblume before = RunningOblume.withDemo(data)) {
            before.stop();
        }
        try (RunningOblume full = RunningOblume.withoutRoom(data);
                Browser crew = new Browser(full.address())) {
            Person gaffer = Person.ofTheDemo(full, "LEAD");
            long shot = gaffer.shot("4D");
            Person.Answer refused =
                    gaffer.send("POST", "/api/shots/%d/notes".formatted(shot), "{\"text\":\"No room\"}", null);
            assertThat(refused.status()).isEqualTo(503);
            assertThat(refused.body().get("detail").asText())
                    .startsWith("The disk of the server’s machine is full. Nothing of yours was kept: make room there");
            crew.open("/shots/%d/log".formatted(shot));
            crew.see("[aria-label='New note']").sendKeys("Waits for room");
            crew.press("Add note");
            crew.seeText("waits to be sent: Waits for room");
            full.stop();
        }
        try (RunningOblume again = RunningOblume.withDemo(data)) {
            Person gaffer = Person.ofTheDemo(again, "LEAD");
            assertThat(gaffer.get("/api/shots/%d/notes".formatted(gaffer.shot("4D")))
                            .findValuesAsText("text"))
                    .doesNotContain("No room");
        }
    }
}
