package org.oblume.core.rigging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.caution.Caution;
import org.oblume.core.caution.Cautions;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Rig;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Refusal;

class HangingTest {

    private final List<Placement> placed = new ArrayList<>();
    private final List<Knot> knots = new ArrayList<>();

    private Placement hung(PlacementKind kind, double wideM, double highM, String rig) {
        Placement thing = new Placement(
                "p" + placed.size(),
                "Thing " + (placed.size() + 1),
                kind,
                Role.KEY,
                null,
                new Piece("Cloth", null, wideM, null, null, 0, Mount.OVERHEAD, highM, null, null, null));
        placed.add(thing);
        Attribution tie = new Attribution(null, null, "key grip", Instant.EPOCH, 1);
        knots.add(new Knot(new Slate("4A"), thing.key(), new SetStatus(SetStatus.State.ON), tie));
        if (!rig.isEmpty()) {
            knots.add(new Knot(new Slate("4A"), thing.key(), Rig.parse(rig), tie));
        }
        return thing;
    }

    private ShotState state() {
        return ShotState.of(new Slate("4A"), knots);
    }

    private List<String> said(Placement thing) {
        return Cautions.of(thing, state()).stream().map(Caution::sentence).toList();
    }

    @Test
    void whatIsTypedIsSaidAgain() {
        Rig rig = Rig.parse("beam 2; 4 points, sag 0.1 m, limit 40 kg, weighs 6.5 kg, bond");
        assertThat(rig).isEqualTo(new Rig("beam 2", 4, true, 40.0, 6.5, 0.1));
        assertThat(Rig.parse(rig.say())).isEqualTo(rig);
        assertThat(Rig.parse("wall from kerb stone to door, no bond"))
                .isEqualTo(new Rig("wall from kerb stone to door", 1, false, null, null, null));
        assertThatThrownBy(() -> Rig.parse("beam, pole"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("“pole”");
        assertThatThrownBy(() -> Rig.parse("4 points")).hasMessageContaining("Say first what it hangs from");
        assertThatThrownBy(() -> Rig.parse("beam, limit -3 kg")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Rig.parse("beam, 0 points")).hasMessage("It hangs by 1 to 40 points.");
    }

    /** 0.15 · 9.80665 · 2.4² / (8 · 0.05) = 21.18 N/m; 0.05 m more would be half of it. At 0.02 m it is 52.96: too much for a wall. */
    @Test
    void aClothPulledFlatSaysWhatItPullsWith() {
        Placement silk = hung(PlacementKind.FRAME, 2.4, 2.4, "wall from A to B, 4 points, sag 0.05 m, bond");
        Hanging hanging = Hanging.of(silk, state()).orElseThrow();
        assertThat(hanging.massKg()).isCloseTo(0.15 * 5.76, within(1e-9));
        assertThat(hanging.pull()).isNotNull();
        assertThat(said(silk))
                .anySatisfy(s -> assertThat(s).contains("with 21 N per metre, 13 N on each of its points (estimate"))
                .noneMatch(s -> s.contains("carry it on stands"));
        Placement tight = hung(PlacementKind.FRAME, 2.4, 2.4, "wall from A to B, 4 points, sag 0.02 m");
        assertThat(said(tight))
                .anySatisfy(s ->
                        assertThat(s).contains("a wall of a set does not hold that, carry it on stands or a frame"))
                .anySatisfy(s -> assertThat(s).contains("NO BOND IS RECORDED"));
    }

    @Test
    void whatHangsFromOneBeamIsSummedAndSetAgainstItsLimit() {
        hung(PlacementKind.FLAG, 1.2, 1.2, "Beam 2, weighs 12 kg, limit 30 kg, bond");
        hung(PlacementKind.FLAG, 1.2, 1.2, "beam 2, weighs 8.5 kg");
        hung(PlacementKind.FLAG, 1.2, 1.2, "beam 3");
        hung(PlacementKind.FLAG, 1.2, 1.2, "");
        List<HangingLoad> loads = HangingLoad.of(placed, state());
        assertThat(loads).hasSize(2);
        HangingLoad beam = loads.get(0);
        assertThat(beam.massKg()).isCloseTo(20.5, within(1e-9));
        assertThat(beam.over()).isTrue();
        assertThat(beam.things()).containsExactly("Thing 1", "Thing 2");
        assertThat(beam.unbonded()).containsExactly("Thing 2");
        assertThat(loads.get(1).unweighed()).containsExactly("Thing 3");
        assertThat(loads.get(1).over()).isFalse();
    }
}
