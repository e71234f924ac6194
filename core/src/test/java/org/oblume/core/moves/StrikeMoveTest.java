package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.SetStatus;

class StrikeMoveTest {

    private final Shop shop = new Shop();

    @Test
    void aLightThatGoesOutIsSwitchedOffAndCoolsFirst() {
        shop.put("B", "edge", SetStatus.STRUCK).put("B", "flag", SetStatus.STRUCK);
        assertThat(shop.said(new StrikeMove()))
                .containsExactly("STRIKE Edge out: off first, let it cool", "STRIKE Flag out");
    }

    @Test
    void whatStaysIsNotStruck() {
        shop.put("B", "edge", new Height(2));
        assertThat(shop.said(new StrikeMove())).isEmpty();
    }
}
