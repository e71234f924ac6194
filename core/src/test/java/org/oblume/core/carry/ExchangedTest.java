package org.oblume.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Exchanged;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Refusal;

class ExchangedTest {

    private static final Piece SPOT = lamp("Bicolour spot", "Heron 2", 2700, 6500);
    private static final Piece DAYLIGHT = lamp("Daylight spot", "Ibis 1", 5600, 5600);
    private final List<Knot> knots = new ArrayList<>();

    private static Piece lamp(String what, String unit, double lowest, double highest) {
        return new Piece(what, unit, 0.3, lowest, highest, 300, Mount.STAND);
    }

    private void tie(String slate, AttributeValue value) {
        knots.add(new Knot(
                new Slate(slate), "key", value, new Attribution(Reason.FIX, null, "gaffer", Instant.EPOCH, 1)));
    }

    private SceneRecord scene() {
        return SceneRecord.of(
                SetPlan.OPEN,
                List.of(new Placement("key", "Key", PlacementKind.HEAD, Role.KEY, null, SPOT)),
                CarryBook.of(
                        List.of(
                                new ShotNode(new Slate("A"), null, ShotStage.SHOT),
                                new ShotNode(new Slate("B"), new Slate("A"), ShotStage.LIT),
                                new ShotNode(new Slate("C"), new Slate("B"), ShotStage.PLANNED)),
                        knots));
    }

    private Piece standing(String slate) {
        SceneRecord scene = scene();
        return scene.in(scene.book().resolve(new Slate(slate))).placement("key").piece();
    }

    @Test
    void aUnitThatIsExchangedStandsFromThatShotOnAndWhatWasShotKeepsTheOtherOne() {
        tie("A", SetStatus.ON);
        tie("B", new Exchanged(DAYLIGHT));
        assertThat(standing("A")).isEqualTo(SPOT);
        assertThat(standing("B")).isEqualTo(DAYLIGHT);
        assertThat(standing("C")).as("it carries").isEqualTo(DAYLIGHT);
    }

    @Test
    void whatStandsHasToBeAbleToDoWhatIsRecordedOfIt() {
        tie("A", SetStatus.ON);
        tie("C", new ColourTemperature(3200));
        tie("B", new Exchanged(DAYLIGHT));
        assertThatThrownBy(() -> scene().checkStanding("key"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("C, CCT")
                .hasMessageContaining("5600");
        assertThat(scene().problems(knots)).singleElement().asString().contains("3200 K is out of range");
    }

    @Test
    void anotherUnitIsStillTheSameThingOfTheScene() {
        tie("A", SetStatus.ON);
        tie("B", new Exchanged(DAYLIGHT));
        SceneRecord scene = scene();
        assertThat(scene.in(scene.book().resolve(new Slate("B"))).hasTheThingsOf(scene))
                .isTrue();
    }

    @Test
    void aSizeOfItsOwnIsSaidInItsName() {
        Piece flag = new Piece("Flag 1.2 m", "F4", 1.2, null, null, 0, Mount.STAND);
        Piece small = flag.sized(0.6, 0.9);
        assertThat(small.what()).isEqualTo("Flag 0.6 × 0.9 m");
        assertThat(small.called()).isEqualTo("F4, Flag 0.6 × 0.9 m");
        assertThat(small.tallM()).isEqualTo(0.9);
        assertThat(small.sized(6, 6).what()).isEqualTo("Flag 6 × 6 m");
        assertThatThrownBy(() -> flag.sized(0, 1)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> flag.sized(1, 51)).isInstanceOf(Refusal.class);
    }
}
