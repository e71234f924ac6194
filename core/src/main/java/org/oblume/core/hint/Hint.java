package org.oblume.core.hint;

import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.HintKind;
import org.oblume.core.units.Phrase;

/**
 * Something worth a look, with its reason. It never blocks.
 *
 * @param placement key of what it is about
 * @param urgent whether it spoils the picture or is unsafe; otherwise it is worth a look
 * @param title what is so, in a few words: {@code Edge is 7 cm in frame, left}
 * @param reason why, and what would help
 * @param at where, or null
 * @param onPurpose whether somebody said that it is meant to be so
 */
public record Hint(
        HintKind kind,
        String placement,
        boolean urgent,
        Phrase title,
        Phrase reason,
        @Nullable SpacePoint at,
        boolean onPurpose) {}
