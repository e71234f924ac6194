package org.oblume.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Modifiers;

class DressingMoveTest {

    private final Shop shop = new Shop();

    @Test
    void theFrameIsTheGripsAndTheGelTheElectricians() {
        shop.put("B", "key", new Modifiers(List.of(Shop.MUSLIN, Shop.CTO)));
        assertThat(shop.drafted(new DressingMove()).moves())
                .extracting(Move::department, Move::job)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(Department.ELECTRIC, Job.DRESS),
                        org.assertj.core.groups.Tuple.tuple(Department.GRIP, Job.FRAME));
    }

    @Test
    void aFrameOfSizeIsToldInTheCrewsUnits() {
        shop.put("B", "key", new Modifiers(List.of(Shop.MUSLIN)));
        Move move = shop.drafted(new DressingMove()).moves().get(0);
        assertThat(move.words().metric())
                .isEqualTo("Key: Half grid off, Muslin on 1.2 m frame, 0.7 m before the lens on");
        assertThat(move.words().imperial()).contains("3′ 11 1/4″ frame");
    }

    @Test
    void eachThingHandledTakesItsTime() {
        shop.put("B", "edge", new Modifiers(List.of(Shop.CTO, Shop.CTO)));
        assertThat(shop.drafted(new DressingMove()).moves())
                .singleElement()
                .matches(m -> m.minutes() == 2 * Job.DRESS.usualMinutes());
    }
}
