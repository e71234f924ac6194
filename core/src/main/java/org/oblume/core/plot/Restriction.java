package org.oblume.core.plot;

import java.util.List;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * What a place does not allow, noted where it holds.
 *
 * @param kind what is not allowed
 * @param note in the place's own words, 1 to 200 characters: {@code taxiway}, {@code 250 kg per m²}
 * @param outline corners of where it holds, three or more; empty for the whole place
 */
public record Restriction(Kind kind, String note, List<PlanPoint> outline) {

    private static final int LONGEST_NOTE = 200;

    public enum Kind {
        NO_STANDS,
        NO_HAZE,
        LOAD_LIMIT,
        QUIET,
        OTHER
    }

    public Restriction {
        note = Checks.text("A restriction", note, LONGEST_NOTE);
        outline = List.copyOf(outline);
        if (!outline.isEmpty() && outline.size() < 3) {
            throw new Refusal(
                    "restrictions", "%s needs three corners or more, or none for the whole place.".formatted(note));
        }
    }
}
