package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Feed;
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

    @Test
    void whatIsFedOtherwiseIsToldFromWhereAndABatteryHasNoCable() {
        shop.put("A", "key", Feed.circuit("B1")).put("B", "key", Feed.circuit("B3"));
        shop.put("B", "edge", new Feed(Feed.From.BATTERY, null, null, null, null));
        assertThat(shop.said(new PowerMove()))
                .containsExactlyInAnyOrder(
                        "POWER Power to Key from B3, ramp over the cable", "POWER Edge onto a full battery");
    }

    @Test
    void aLightOnABatteryIsMovedWithoutACable() {
        Feed battery = new Feed(Feed.From.BATTERY, null, null, null, null);
        shop.put("A", "key", battery).put("B", "key", battery).put("B", "key", Place.of(4.5, 3));
        assertThat(shop.said(new PowerMove())).isEmpty();
    }
}
