package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetStatus;

class PlacingMoveTest {

    private final Shop shop = new Shop();

    @Test
    void onlyWhatChangesIsTold() {
        shop.put("B", "key", new Height(2)).put("B", "edge", AimSetting.along(200, -20));
        assertThat(shop.said(new PlacingMove()))
                .containsExactly("RAISE Key 2.00 m high", "AIM Edge aimed 200°, down 20°");
    }

    @Test
    void aPlaceIsTwoTapesInBothUnitSystems() {
        shop.put("B", "key", Place.of(5.7, 3));
        Move move = shop.drafted(new PlacingMove()).moves().get(0);
        assertThat(move.job()).isEqualTo(Job.SHIFT);
        assertThat(move.words().metric())
                .isEqualTo("Key to 3.78 m from near right corner, 3.78 m from far right corner");
        assertThat(move.words().imperial())
                .contains("12′ 4", "from near right corner")
                .doesNotContain(" m ");
    }

    @Test
    void whatComesInIsToldWhole() {
        shop.put("A", "key", SetStatus.STRUCK).put("B", "key", SetStatus.ON);
        assertThat(shop.said(new PlacingMove()))
                .singleElement()
                .asString()
                .startsWith("BRING Key in: to ")
                .contains("2.20 m high", "aimed at Repairer");
    }

    @Test
    void aMarkIsLaidAndTheCameraMovedByTheirOwnJobs() {
        shop.put("B", "mark", Place.of(3, 3)).put("B", "camera", Place.of(4, 1.5));
        assertThat(shop.drafted(new PlacingMove()).moves())
                .extracting(Move::job)
                .containsExactly(Job.MARK, Job.CAMERA_MOVE);
    }
}
