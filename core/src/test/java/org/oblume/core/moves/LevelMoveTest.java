package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.SetStatus;

class LevelMoveTest {

    private final Shop shop = new Shop();

    @Test
    void whatHasAnAddressIsRecalledTheRestIsDialledAtTheHead() {
        shop.put("B", "key", new Level(45)).put("B", "edge", new Level(25));
        MoveDraft draft = shop.drafted(new LevelMove());
        assertThat(draft.recalled()).extracting(p -> p.metric()).containsExactly("Key 45 %, 5250 K");
        assertThat(draft.moves())
                .singleElement()
                .matches(m -> m.words().metric().equals("Edge 25 %, 3200 K, at the head"));
    }

    @Test
    void whatIsOffIsToldToBeOff() {
        shop.put("B", "edge", new SetStatus(SetStatus.State.OFF));
        assertThat(shop.said(new LevelMove())).containsExactly("AT_THE_HEAD Edge off, at the head");
    }

    @Test
    void whatIsToldByAnAppIsControlsToDo() {
        shop.put("B", "edge", new Level(20), new Patch(null, null, null, null, ControlPath.APP, "Practicals"));
        assertThat(shop.drafted(new LevelMove()).moves())
                .singleElement()
                .matches(m -> m.department() == Department.CONTROL)
                .matches(m -> m.words().metric().contains("in the app group Practicals"));
    }
}
