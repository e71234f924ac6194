package org.oblume.core.moves;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;

/** A room of 8 × 6 m: a mark, a camera that looks up the plan, a key, an edge that is set by hand, a flag and a net. */
final class Shop {

    static final Modifier GRID = new Modifier("Half grid", 1, 0, 0, true, 1.2, 0.7, null);
    static final Modifier MUSLIN = new Modifier("Muslin", 1.5, 12, 0, true, 1.2, 0.7, null);
    static final Modifier CTO = new Modifier("Quarter CTO", 0.3, 42, 0, false, null, null, null);
    private final List<Knot> knots = new ArrayList<>();

    Shop() {
        put("A", "mark", SetStatus.ON, Place.of(4, 3), new Height(1.6), AimSetting.along(180, 0));
        put("A", "camera", SetStatus.ON, Place.of(4, 1), new Height(1.5), AimSetting.atMark("mark", 1.6), new Lens(24));
        put(
                "A",
                "key",
                SetStatus.ON,
                Place.of(6.5, 3),
                new Height(2.2),
                AimSetting.atMark("mark", 1.6),
                new Level(64),
                new ColourTemperature(5250),
                new Modifiers(List.of(GRID)),
                new Patch(1, 1, 4, null));
        put(
                "A",
                "edge",
                SetStatus.ON,
                Place.of(3, 5),
                new Height(2.4),
                AimSetting.atMark("mark", 1.6),
                new Level(30),
                new ColourTemperature(3200),
                Modifiers.NONE,
                Patch.BY_HAND);
        put("A", "flag", SetStatus.ON, Place.of(2.5, 3), new Height(1.6), AimSetting.atMark("mark", 1.6));
        put("A", "net", new SetStatus(SetStatus.State.STRUCK));
    }

    Shop put(String slate, String key, AttributeValue... values) {
        for (AttributeValue value : values) {
            knots.removeIf(k -> k.slate().text().equals(slate)
                    && k.placement().equals(key)
                    && k.value().getClass() == value.getClass());
            knots.add(new Knot(
                    new Slate(slate), key, value, new Attribution(Reason.MATCH, null, "gaffer", Instant.EPOCH, 1)));
        }
        return this;
    }

    SceneRecord recording() {
        return SceneRecord.of(
                SetPlan.room(8, 6, 3),
                List.of(
                        thing("mark", "Repairer", PlacementKind.MARK, Role.SUBJECT, 0.5, 0),
                        thing("camera", "Camera", PlacementKind.CAMERA, Role.CAMERA, 0.0249, 0),
                        thing("key", "Key", PlacementKind.HEAD, Role.KEY, 0.3, 320),
                        thing("edge", "Edge", PlacementKind.HEAD, Role.EDGE, 0.2, 165),
                        thing("flag", "Flag", PlacementKind.FLAG, Role.NEGATIVE_FILL, 1.2, 0),
                        thing("net", "Net", PlacementKind.NET, Role.BACKGROUND, 0.9, 0),
                        thing("air", "Air", PlacementKind.CONDITION, Role.CONDITION, 0, 0),
                        thing("look-up", "Looks up", PlacementKind.CUE, Role.CUE, 0, 0)),
                CarryBook.of(
                        List.of(
                                new ShotNode(new Slate("A"), null, ShotStage.LIT),
                                new ShotNode(new Slate("B"), new Slate("A"), ShotStage.PLANNED)),
                        knots));
    }

    ComparedState side(String slate) {
        SceneRecord scene = recording();
        return new ComparedState(scene, scene.book().resolve(new Slate(slate)));
    }

    /** What one rule by itself makes of the way from A to B. */
    MoveDraft drafted(MoveRule rule) {
        MoveDraft draft = new MoveDraft(side("B"), JobTimes.USUAL);
        MovePlanner.changes(side("A"), side("B")).forEach(change -> rule.plan(change, draft));
        return draft;
    }

    /** The words of what one rule drafts, each behind its job. */
    List<String> said(MoveRule rule) {
        return drafted(rule).moves().stream()
                .map(m -> m.job() + " " + m.words().metric())
                .toList();
    }

    MoveList moves() {
        return MoveList.between(side("A"), side("B"), JobTimes.USUAL);
    }

    private static Placement thing(
            String key, String name, PlacementKind kind, Role role, double widthM, double watts) {
        return new Placement(
                key,
                name,
                kind,
                role,
                null,
                new Piece(
                        name,
                        name + " 1",
                        widthM,
                        kind.isLight() ? 2700.0 : null,
                        kind.isLight() ? 6500.0 : null,
                        watts,
                        Mount.STAND));
    }
}
