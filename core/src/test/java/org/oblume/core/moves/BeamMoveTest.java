package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Beam;

class BeamMoveTest {

    private final Shop shop = new Shop();

    @Test
    void aBeamIsFocusedAtTheHead() {
        shop.put("A", "key", new Beam(40)).put("B", "key", new Beam(25));
        assertThat(shop.said(new BeamMove())).singleElement().asString().isEqualTo("AIM Key: beam 40° to 25°");
    }
}
