package org.oblume.server.scene;

import org.oblume.core.rebuild.BuildOrder;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A scene as the script names it.
 *
 * @param number as on the slate, without the shot's letter: {@code 4}
 * @param heading {@code INT. RADIO REPAIR SHOP, NIGHT}
 * @param location where it is shot
 * @param buildOrder order in which the crew builds its light
 */
public record SceneHeading(String number, String heading, String location, BuildOrder buildOrder) {

    private static final int LONGEST_HEADING = 200;
    private static final int LONGEST_LOCATION = 120;

    public SceneHeading {
        if (!number.matches("[\\p{L}\\p{N}][\\p{L}\\p{N} ./-]{0,11}")) {
            throw new Refusal(
                    "number",
                    "“%s” cannot be a scene number: use up to 12 letters and digits, such as 4.".formatted(number));
        }
        heading = Checks.text("The scene's heading", heading, LONGEST_HEADING);
        location = Checks.text("The location", location, LONGEST_LOCATION);
    }
}
