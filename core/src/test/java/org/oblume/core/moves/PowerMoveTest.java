package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetStatus;

class PowerMoveTest {

    private final Shop shop = new Shop();

    @Test
    void aLightMovedFartherThanItsCableReachesIsPoweredAnew() {
        shop.put("B", "key", Place.of(4.5, 3)).put("B", "edge", Place.of(3.5, 5));
        assertThat(shop.said(new PowerMove())).containsExactly("POWER Power to Key, ramp over the cable");
    }

    @Test
    void whatComesInNeedsPowerUnlessItDrawsNone() {
        shop.put("A", "key", SetStatus.STRUCK).put("B", "key", SetStatus.ON);
        shop.put("A", "flag", SetStatus.STRUCK).put("B", "flag", SetStatus.ON);
        assertThat(shop.drafted(new PowerMove()).moves())
                .extracting(Move::placement)
                .containsExactly("key");
    }
}
