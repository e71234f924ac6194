package org.oblume.server.events;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class LiveOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    @Test
    void othersHearOfAnEditAndOfWhoIsWhereAndNotOfWhatOnlyAsks() throws Exception {
        long shot = api.shotFrom("4V" + ++made, api.shot("4A"));
        try (Api.Stream stream = api.as("READER").listen("tablet")) {
            stream.until("presence", "\"person\":\"visitor\",\"device\":\"tablet\"");
            api.post("/api/shots/" + shot + "/say", "{\"text\":\"key 45%\"}");
            api.tie(shot, "key", "LEVEL", "{\"text\":\"45\",\"reason\":\"MATCH\"}", 0);
            assertThat(stream.next("changed"))
                    .contains("\"topics\":[\"RECORD\"]", "\"shotId\":%d".formatted(shot), "\"person\":\"best boy\"");
            api.tie(shot, "key", "LEVEL", "{\"text\":\"450\",\"reason\":\"MATCH\"}", 1);
            api.post("/api/shots/" + shot + "/notes", "{\"text\":\"edge is next\"}");
            assertThat(stream.next("changed")).contains("\"topics\":[\"NOTES\"]");
            try (Api.Stream other = api.listen("phone")) {
                stream.until("presence", "\"device\":\"phone\"");
                api.put("/api/live/phone", "{\"shotId\":%d}".formatted(shot), null);
                stream.until("presence", "\"device\":\"phone\",\"shotId\":" + shot);
                assertThat(other).isNotNull();
            }
        }
    }

    @Test
    void nobodyEndsOrMovesTheStreamOfAnotherByTheNameOfTheDevice() throws Exception {
        long shot = api.shotFrom("4V" + ++made, api.shot("4A"));
        try (Api.Stream mine = api.listen("cart-tablet");
                Api.Stream theirs = api.as("READER").listen("cart-tablet")) {
            theirs.until("presence", "\"person\":\"best boy\",\"device\":\"cart-tablet\"");
            api.as("READER").put("/api/live/cart-tablet", "{\"shotId\":%d}".formatted(shot), null);
            mine.until("presence", "\"person\":\"visitor\",\"device\":\"cart-tablet\",\"shotId\":" + shot);
            api.tie(shot, "key", "LEVEL", "{\"text\":\"45\",\"reason\":\"MATCH\"}", 0);
            assertThat(mine.next("changed")).contains("RECORD");
        }
    }
}
