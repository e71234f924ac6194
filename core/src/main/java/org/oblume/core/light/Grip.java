package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.GelColour;
import org.oblume.core.geometry.Panel;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Surface;
import org.oblume.core.transport.Mirror;
import org.oblume.core.transport.Sheet;
import org.oblume.core.transport.Skin;
import org.oblume.core.transport.Standing;

/**
 * A flat piece of grip where it stands, with what hangs in it.
 *
 * @param softness of a board, or null where it goes by what it is
 */
record Grip(String key, PlacementKind kind, Panel panel, Modifiers stack, Surface surface, double softness) {

    private static final Surface BLACK = Surface.grey(0.03);
    private static final Surface GLASS = Surface.grey(0.9);
    private static final double METAL = 0.3;
    private static final double[] NOTHING = new double[ConeLight.CHANNELS];

    static List<Grip> standing(List<Placement> placements, RecordedState state) {
        return placements.stream()
                .filter(p -> p.kind().isGrip() && state.isOnSet(p.key()))
                .flatMap(p -> of(p, state).stream())
                .toList();
    }

    private static Optional<Grip> of(Placement placement, RecordedState state) {
        String key = placement.key();
        Surface known = placement.piece().surface();
        Surface surface = known != null ? known : placement.kind() == PlacementKind.MIRROR ? GLASS : BLACK;
        return state.panel(placement)
                .map(panel -> new Grip(
                        key,
                        placement.kind(),
                        panel,
                        state.value(key, Modifiers.class).orElse(Modifiers.NONE),
                        surface,
                        softness(placement, surface)));
    }

    private static double softness(Placement placement, Surface surface) {
        if (placement.kind() == PlacementKind.MIRROR) {
            return 0;
        }
        if (surface.softness() != null) {
            return surface.softness();
        }
        String what = placement.piece().what().toLowerCase(Locale.ROOT);
        return what.contains("silver") || what.contains("gold") ? METAL : 1;
    }

    /** A cloth or a gel that hangs before a head on a frame of its own. */
    static Grip frame(String key, Panel panel, Modifier item) {
        return new Grip(key, PlacementKind.FRAME, panel, new Modifiers(List.of(item)), BLACK, 1);
    }

    /** A leaf that cuts a beam. */
    static Grip leaf(String key, Panel panel) {
        return new Grip(key, PlacementKind.FLAG, panel, Modifiers.NONE, BLACK, 1);
    }

    /** What stands in the way of light that goes straight on. */
    Sheet sheet() {
        return switch (kind) {
            case FRAME, NET, PATTERN -> new Sheet(panel, List.of(), through(straight()), gels());
            case CURTAIN ->
                stack.items().isEmpty()
                        ? Sheet.opaque(panel)
                        : new Sheet(panel, List.of(), through(straight()), gels());
            default -> Sheet.opaque(panel);
        };
    }

    /** Mirrors, and boards that shine. */
    Optional<Mirror> mirror() {
        boolean reflects = kind == PlacementKind.MIRROR || kind == PlacementKind.BOUNCE;
        return reflects && softness < 1 ? Optional.of(new Mirror(panel, reflected(1 - softness))) : Optional.empty();
    }

    /** What sends light on evenly: a board from its front, a cloth from its far side, whichever that is. */
    List<Standing.Sender> senders(int owner) {
        List<Standing.Sender> senders = new ArrayList<>();
        if (kind == PlacementKind.BOUNCE && softness > 0) {
            senders.add(new Standing.Sender(panel, reflected(softness), true, owner));
        }
        if ((kind == PlacementKind.FRAME || kind == PlacementKind.CURTAIN) && straight() < 1) {
            double[] even = through(1 - straight());
            senders.add(new Standing.Sender(panel, even, false, owner));
            senders.add(new Standing.Sender(turned(), even, false, owner));
        }
        return senders;
    }

    /** It as it is looked at, from both sides; a net or a clear gel is looked through (model). */
    List<Skin> skins() {
        List<Standing.Sender> senders = senders(0);
        List<Skin> skins = new ArrayList<>();
        for (Standing.Sender sender : senders) {
            skins.add(Skin.of(sender.panel(), sender.sends(), sender.front() ? 1 : -1));
        }
        boolean seenThrough = kind == PlacementKind.NET || kind == PlacementKind.PATTERN || kind == PlacementKind.FRAME;
        if (skins.size() < 2 && !seenThrough) {
            double[] own = kind == PlacementKind.FLAG ? reflected(1) : NOTHING;
            if (skins.isEmpty()) {
                skins.add(Skin.of(panel, own, 1));
            }
            skins.add(Skin.of(turned(), own, 1));
        }
        return skins;
    }

    private Panel turned() {
        return new Panel(
                panel.middle(), panel.normal().opposite(), panel.right(), panel.up(), panel.widthM(), panel.heightM());
    }

    private double straight() {
        double straight = 1;
        for (Modifier item : stack.items()) {
            straight *= 1 - item.soft();
        }
        return straight;
    }

    private double[] reflected(double part) {
        return scaled(ConeLight.left(surface.reflectance(), surface.miredShift(), surface.duvShift()), part);
    }

    /** What comes through, of each channel; a saturated gel takes what it takes beside that. */
    private double[] through(double part) {
        if (part == 0) {
            return NOTHING;
        }
        double stops = 0;
        double mired = 0;
        double duv = 0;
        for (Modifier item : stack.items()) {
            stops += item.gel() == null ? item.stops() : 0;
            mired += item.miredShift();
            duv += item.duvShift();
        }
        return scaled(ConeLight.left(Math.pow(2, -stops), mired, duv), part);
    }

    private static double[] scaled(double[] channels, double part) {
        double[] all = new double[ConeLight.CHANNELS];
        for (int c = 0; c < all.length; c++) {
            all[c] = channels[c] * part;
        }
        return all;
    }

    private List<GelColour> gels() {
        return stack.items().stream()
                .map(Modifier::gel)
                .filter(Objects::nonNull)
                .toList();
    }
}
