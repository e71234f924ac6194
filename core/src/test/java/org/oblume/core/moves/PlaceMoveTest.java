package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Condition;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Exchanged;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.SetStatus;

class PlaceMoveTest {

    private static final Condition HAZE = new Condition(Condition.Sort.HAZE, "light haze", "the harbour office");
    private final Shop shop = new Shop();

    private static Cue cue(double percent) {
        return new Cue(
                1,
                "he looks up",
                0,
                List.of(new Cue.CueStep("key", 2, null, new Level(percent), null, null, null, null)));
    }

    @Test
    void hazeIsBroughtChangedAndTakenAwayTogether() {
        shop.put("A", "air", SetStatus.STRUCK).put("B", "air", SetStatus.ON, HAZE);
        assertThat(shop.said(new PlaceMove()))
                .containsExactly("CONDITION Air: light haze; alarms told to the harbour office");
        shop.put("A", "air", SetStatus.ON, HAZE).put("B", "air", new Condition(Condition.Sort.HAZE, "none", null));
        assertThat(shop.said(new PlaceMove())).containsExactly("CONDITION Air: none");
        shop.put("B", "air", SetStatus.STRUCK);
        assertThat(shop.said(new PlaceMove())).containsExactly("CONDITION Air: no longer");
        assertThat(shop.said(new PlacingMove())).as("it stands nowhere").isEmpty();
        assertThat(shop.said(new StrikeMove())).isEmpty();
    }

    @Test
    void aCueIsTakenOverWithItsLightsByName() {
        shop.put("A", "look-up", SetStatus.ON, cue(40)).put("B", "look-up", cue(20));
        assertThat(shop.said(new PlaceMove())).containsExactly("CUE Looks up: 1. he looks up: Key 20 % in 2 s");
    }

    @Test
    void whatIsExchangedIsBroughtOnce() {
        Piece other = new Piece("Spot", "Heron 3", 0.3, 2700.0, 6500.0, 320, Mount.STAND);
        shop.put("B", "key", new Exchanged(other));
        assertThat(shop.said(new ExchangeMove())).containsExactly("BRING Key: exchanged for Heron 3, Spot");
        assertThat(Differences.between(shop.side("A"), shop.side("B")))
                .singleElement()
                .satisfies(d -> assertThat(d.words().metric()).isEqualTo("Key 1, Key to Heron 3, Spot"));
        shop.put("A", "key", new Exchanged(other));
        assertThat(Differences.between(shop.side("A"), shop.side("B"))).isEmpty();
    }
}
