package org.oblume.core.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.units.Refusal;

/** What feeds a light, as it is typed and told. */
class FeedTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "B1|CIRCUIT|B1|||",
                "circuit B1|CIRCUIT|B1|||",
                "B1, 25 m of 2.5|CIRCUIT|B1||25|2.5",
                "Cart 2, 12 m of 1,5 mm²|CIRCUIT|Cart 2||12|1.5",
                "battery|BATTERY||||",
                "battery 98 Wh|BATTERY||98||",
                "battery 98 Wh, Eel 1|BATTERY|Eel 1|98||",
                "own|OWN||||",
                "own on B3|OWN|B3|||",
            })
    void itIsReadAsItIsSaid(String text, Feed.From from, String name, Double wattHours, Double cableM, Double areaMm2) {
        Feed feed = Feed.parse(text);
        assertThat(feed).isEqualTo(new Feed(from, name, wattHours, cableM, areaMm2));
        assertThat(Feed.parse(feed.say())).isEqualTo(feed);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Feed(Feed.From.CIRCUIT, null, null, null, null))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Feed(Feed.From.CIRCUIT, "B1", 98.0, null, null))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Feed(Feed.From.BATTERY, null, -1.0, null, null))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Feed(Feed.From.CIRCUIT, "B1", null, 0.0, 2.5))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Feed.parse("B1, 25 m of 0"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("section");
    }
}
