package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.SetStatus;

class PatchMoveTest {

    private final Shop shop = new Shop();

    @Test
    void anAddressThatChangesIsSetAtTheLight() {
        shop.put("B", "key", new Patch(2, 20, 4, null));
        assertThat(shop.said(new PatchMove()))
                .singleElement()
                .asString()
                .startsWith("PATCH Key: ")
                .contains("20");
    }

    @Test
    void whatComesInIsPatchedWhereItHasAnAddress() {
        shop.put("A", "key", SetStatus.STRUCK).put("B", "key", SetStatus.ON);
        shop.put("A", "edge", SetStatus.STRUCK).put("B", "edge", SetStatus.ON);
        assertThat(shop.drafted(new PatchMove()).moves())
                .extracting(Move::placement)
                .containsExactly("key");
    }

    @Test
    void aMenuIsSetTogetherWithThePatch() {
        shop.put("B", "key", new Patch(2, 20, 4, null), Menu.parse("smoothing on"));
        assertThat(shop.said(new PatchMove())).singleElement().asString().contains("; Key, menu: ");
    }
}
