package org.oblume.core.carry;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Bearing;

/** A state of the light as it is recorded: a value for each placement and attribute, and what follows from them. */
public abstract sealed class RecordedState permits ShotState, LookState {

    /** What the crew calls it: a slate, or the name of a look. */
    public abstract String name();

    /** Keys of the placements that have a value. */
    public abstract Set<String> placements();

    /** The value of an attribute; empty when nothing was recorded. */
    public abstract Optional<AttributeValue> value(String placement, Attribute attribute);

    /** The value of an attribute, by the type of its values. */
    public <V extends AttributeValue> Optional<V> value(String placement, Class<V> type) {
        return value(placement, Attribute.of(type)).map(type::cast);
    }

    /** Whether a placement is on set; one of which nothing was said is not. */
    public boolean isOnSet(String placement) {
        return value(placement, SetStatus.class)
                .map(s -> s.state() != SetStatus.State.STRUCK)
                .orElse(false);
    }

    /** The camera on set: the first, where several are. */
    public Optional<Placement> camera(List<Placement> placements) {
        return onSet(placements, PlacementKind.CAMERA).findFirst();
    }

    /** The marks on set, in their order. */
    public List<Placement> marks(List<Placement> placements) {
        return onSet(placements, PlacementKind.MARK).toList();
    }

    private Stream<Placement> onSet(List<Placement> placements, PlacementKind kind) {
        return placements.stream().filter(p -> p.kind() == kind && isOnSet(p.key()));
    }

    /** Whether a light is on set and works. */
    public boolean isOn(String placement) {
        return value(placement, SetStatus.class)
                .filter(s -> s.state() == SetStatus.State.ON)
                .isPresent();
    }

    /** The level of a light as a part of full, 0 to 1; 0 while none is recorded. */
    public double level(String placement) {
        return value(placement, Level.class).map(Level::fraction).orElse(0.0);
    }

    /** The flat rectangle that a placement is; empty until it has a place, a height and an aim. */
    public Optional<Panel> panel(Placement placement) {
        return position(placement.key()).flatMap(middle -> aim(placement.key())
                .map(aim -> Panel.facing(
                        middle,
                        Direction.of(aim.bearing(), aim.tiltDeg()),
                        placement.piece().widthM(),
                        placement.piece().tallM())));
    }

    /** Where a placement is in space; empty until both its place and its height are recorded. */
    public Optional<SpacePoint> position(String placement) {
        return value(placement, Place.class).flatMap(place -> value(placement, Height.class)
                .map(h -> place.point().at(h.heightM())));
    }

    /** The point in space that a placement is aimed at; empty along a bearing, or when the mark has no place. */
    private Optional<SpacePoint> target(AimSetting aim) {
        Double heightM = aim.heightM();
        return aim.mark() == null || heightM == null
                ? Optional.empty()
                : value(aim.mark(), Place.class).map(place -> place.point().at(heightM));
    }

    /**
     * Which way a placement points, worked out from the mark it is aimed at where it is. It has no distance when it is
     * aimed along a bearing; empty when the mark has no place, or it stands on the very point it is aimed at.
     */
    public Optional<Aim> aim(String placement) {
        return value(placement, AimSetting.class).flatMap(pointing -> {
            if (pointing.bearingDeg() != null && pointing.tiltDeg() != null) {
                return Optional.of(new Aim(Bearing.ofDegrees(pointing.bearingDeg()), pointing.tiltDeg(), null));
            }
            Optional<SpacePoint> target = target(pointing);
            return position(placement)
                    .flatMap(from -> target.filter(to -> !to.coincides(from)).map(to -> Aim.between(from, to)));
        });
    }
}
