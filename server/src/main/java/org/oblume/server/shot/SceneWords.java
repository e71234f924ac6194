package org.oblume.server.shot;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.StringJoiner;
import org.oblume.core.carry.ShotState;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.shot.SaidOfShot.About;

/** What a scene's record says in words, shot by shot; shots share what they do not change. */
final class SceneWords {

    /** Values that have names in them. */
    private static final Set<Attribute> NAMED = EnumSet.of(
            Attribute.MODIFIERS,
            Attribute.CUE,
            Attribute.CONDITION,
            Attribute.RIG,
            Attribute.FEED,
            Attribute.EFFECT,
            Attribute.PATCH);

    private final StoredScene scene;
    private final Map<String, SaidOfShot> known = new HashMap<>();

    SceneWords(StoredScene scene) {
        this.scene = scene;
    }

    List<SaidOfShot> of(Shot shot) {
        RecordedShot recorded = scene.recorded(shot.id());
        SceneHeading heading = scene.scene().heading();
        List<SaidOfShot> all = new ArrayList<>();
        all.add(said(
                About.SHOT,
                "%s %s, %s"
                        .formatted(
                                shot.card().slate(),
                                shot.card().description(),
                                shot.card().stage().label())));
        if (shot.card().day() != null) {
            all.add(said(About.DAY, "day " + shot.card().day()));
        }
        all.add(said(
                About.SCENE,
                "Sc. %s %s, %s, %s"
                        .formatted(
                                heading.number(),
                                heading.heading(),
                                heading.location(),
                                scene.set().name())));
        for (Placement placement : recorded.record().placements()) {
            if (recorded.state().isOnSet(placement.key())) {
                all.add(said(
                        placement.kind() == PlacementKind.CUE || placement.kind() == PlacementKind.CONDITION
                                ? About.CUE
                                : About.THING,
                        words(placement, recorded.state())));
            }
        }
        return List.copyOf(all);
    }

    private String words(Placement placement, ShotState state) {
        StringJoiner words = new StringJoiner(", ", placement.name() + ": ", "");
        words.add(placement.piece().what());
        if (placement.piece().unit() != null) {
            words.add(placement.piece().unit());
        }
        if (placement.motivation() != null) {
            words.add(placement.motivation());
        }
        for (Attribute attribute : NAMED) {
            state.value(placement.key(), attribute)
                    .filter(value -> !value.equals(Modifiers.NONE))
                    .ifPresent(value -> words.add(scene.record().named(value).say()));
        }
        return words.toString();
    }

    private SaidOfShot said(About about, String text) {
        return known.computeIfAbsent(about + text, t -> new SaidOfShot(about, text));
    }
}
