package org.oblume.core.hint;

import java.util.Locale;
import java.util.Optional;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.light.WindowLight;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Stops;

/** A window with daylight in the picture: how far it lies over the camera's stop, and what holds it. */
final class WindowInFrame implements HintRule {

    private static final double[] PARTS = {-0.45, 0, 0.45};

    @Override
    public void look(HintContext shot) {
        shot.frame().ifPresent(frame -> shot.light().metering().ifPresent(camera -> shot.standing()
                .filter(p -> p.kind() == PlacementKind.DAYLIGHT && shot.state().isOn(p.key()) && isSeen(shot, frame, p))
                .forEach(window -> WindowLight.of(shot.set().site(), window, shot.state(), camera)
                        .ifPresent(light -> report(shot, window, light)))));
    }

    private static boolean isSeen(HintContext shot, CameraFrame frame, Placement window) {
        Optional<Panel> pane = shot.state().panel(window);
        if (pane.isEmpty() || pane.get().offPlane(frame.lens()) <= 0) {
            return false;
        }
        for (double across : PARTS) {
            for (double up : PARTS) {
                SpacePoint at = pane.get()
                        .up()
                        .from(
                                pane.get()
                                        .right()
                                        .from(
                                                pane.get().middle(),
                                                across * pane.get().widthM()),
                                up * pane.get().heightM());
                CameraFrame.Seen seen = frame.see(at);
                if (seen != null
                        && seen.inside()
                        && shot.light().reaches(pane.get().normal().from(at, 0.01), frame.lens())) {
                    return true;
                }
            }
        }
        return false;
    }

    private static void report(HintContext shot, Placement window, WindowLight light) {
        double over = light.over().value();
        String name = window.name();
        shot.report(
                HintKind.WINDOW_IN_FRAME,
                window,
                false,
                Phrase.of("%s is %s stops %s in frame"
                        .formatted(name, Stops.of(Math.abs(over)).inTenths(), over >= 0 ? "over" : "under")),
                Phrase.of(
                        light.ndDensity() > 0
                                ? "Read as a spot meter against a grey card (model: the pane as bright as the sky). To hold it at %s over: ND %s on the pane, or %s and %s times the light inside%s."
                                        .formatted(
                                                Numbers.plain(WindowLight.HOLDS_AT_STOPS),
                                                String.format(Locale.ROOT, "%.1f", light.ndDensity()),
                                                light.holding().label(),
                                                Numbers.plain(Math.round(light.timesTheLight() * 10) / 10.0),
                                                watts(shot, light))
                                : "Read as a spot meter against a grey card (model: the pane as bright as the sky). It holds up to %s over."
                                        .formatted(Numbers.plain(WindowLight.HOLDS_AT_STOPS))),
                shot.position(window));
    }

    /** What the key would have to draw, of its kind. */
    private static String watts(HintContext shot, WindowLight light) {
        return shot.lights()
                .filter(p -> p.role() == Role.KEY
                        && p.piece().watts() > 0
                        && shot.state().isOn(p.key()))
                .findFirst()
                .map(key -> ": for %s about %d W where it is %d W now at its level"
                        .formatted(
                                key.name(),
                                Math.round(key.piece().watts() * light.timesTheLight()),
                                Math.round(key.piece().watts())))
                .orElse("");
    }
}
