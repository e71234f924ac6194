package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetStatus;

class AlreadyInPlaceTest {

    @Test
    void whatIsTheSameOnBothSidesStaysAndTheRestIsToBeDone() {
        Shop shop = new Shop().put("B", "key", new Level(40)).put("B", "flag", Place.of(2.6, 3));
        assertThat(between(shop, "A", "B").stays())
                .extracting(Placement::key)
                .containsExactly("mark", "camera", "edge");
    }

    @Test
    void whatGoesOutIsNamedAndWhatComesInIsNotSaidToStand() {
        Shop shop = new Shop()
                .put("B", "edge", new SetStatus(SetStatus.State.STRUCK))
                .put("B", "net", SetStatus.ON);
        AlreadyInPlace there = between(shop, "A", "B");
        assertThat(there.out()).extracting(Placement::key).containsExactly("edge");
        assertThat(there.stays()).extracting(Placement::key).containsExactly("mark", "camera", "key", "flag");
        AlreadyInPlace back = between(shop, "B", "A");
        assertThat(back.out()).extracting(Placement::key).containsExactly("net");
    }

    @Test
    void theSameShotStandsAsAWhole() {
        AlreadyInPlace all = between(new Shop(), "A", "A");
        assertThat(all.out()).isEmpty();
        assertThat(all.stays()).hasSize(5).extracting(Placement::key).doesNotContain("net");
    }

    private static AlreadyInPlace between(Shop shop, String stands, String wanted) {
        return AlreadyInPlace.between(shop.side(stands), shop.side(wanted));
    }
}
