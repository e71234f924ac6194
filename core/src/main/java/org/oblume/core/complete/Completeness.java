package org.oblume.core.complete;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.oblume.core.carry.Confirmations;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.rebuild.BuildOrder;

/**
 * Whether somebody who never saw the set could put a shot back from its record. A rule, not a score of beauty: it counts what could be
 * rebuilt, and lists what would have to be guessed. A new rule is a {@link CompletenessRule} in the list here.
 *
 * @param things that stand in the shot, in the order in which they are built; daylight is put back by nobody
 */
public record Completeness(List<Thing> things) {

    private static final List<CompletenessRule> RULES = List.of(
            new KindSaid(),
            new PlaceMeasured(),
            new HeightSaid(),
            new AimSaid(),
            new ThroughSaid(),
            new LevelSaid(),
            new WhiteSaid(),
            new ControlSaid(),
            new FeedSaid(),
            new RigSaid());

    /**
     * @param placement the thing
     * @param findings what its record does not hold, in the order in which it is recorded
     */
    public record Thing(Placement placement, List<Finding> findings) {

        public Thing {
            findings = List.copyOf(findings);
        }

        /** Whether nothing has to be guessed to put it back. */
        public boolean canBeRebuilt() {
            return findings.stream().noneMatch(Finding::guess);
        }
    }

    public Completeness {
        things = List.copyOf(things);
    }

    /**
     * @param scene whose shot it is
     * @param state of the shot
     * @param confirmations of the scene
     * @param order in which the scene is built
     */
    public static Completeness of(SceneRecord scene, ShotState state, Confirmations confirmations, BuildOrder order) {
        boolean fed = scene.placements().stream()
                .anyMatch(p -> state.value(p.key(), Feed.class).isPresent());
        return new Completeness(scene.placements().stream()
                .filter(p -> state.isOnSet(p.key())
                        && p.kind() != PlacementKind.DAYLIGHT
                        && p.kind().isThing())
                .sorted(Comparator.comparingInt(p -> order.rank(p.role())))
                .map(p -> thing(new RecordedThing(p, state, scene.set(), scene.book(), confirmations, fed)))
                .toList());
    }

    private static Thing thing(RecordedThing thing) {
        return new Thing(
                thing.placement(),
                RULES.stream()
                        .map(rule -> rule.look(thing))
                        .flatMap(Optional::stream)
                        .toList());
    }

    /** How many of the things could be rebuilt. */
    public int couldBeRebuilt() {
        return (int) things.stream().filter(Thing::canBeRebuilt).count();
    }
}
