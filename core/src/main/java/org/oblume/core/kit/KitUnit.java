package org.oblume.core.kit;

import java.text.Normalizer;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * One thing of the kit that bears a tag: a head, a frame, a cloth.
 *
 * @param tag what stands on its label, 1 to 24 letters and digits of any script, with hyphens, dots and underlines between
 * @param name what the crew calls it and what stands on the plots: {@code Heron 2}, 1 to 80 characters
 * @param what its kind, or the name of a cloth, 1 to 80 characters
 * @param size of a cloth; of others nothing
 * @param packedIn the case that it lies in, 1 to 40 characters, or null
 * @param hiredUntil the last day on which the crew has it, when it is not its own, or null
 * @param spans where it is when it is not in the store, at most 50, none two of a day
 */
public record KitUnit(
        String tag,
        String name,
        String what,
        KitSize size,
        @Nullable String packedIn,
        @Nullable LocalDate hiredUntil,
        List<UnitSpan> spans) {

    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_CASE = 40;
    private static final int LONGEST_TAG = 24;
    private static final int MOST_SPANS = 50;
    private static final Pattern TAG =
            Pattern.compile("[\\p{L}\\p{N}](?:[\\p{L}\\p{N}\\p{M}._-]*[\\p{L}\\p{N}\\p{M}])?");

    public KitUnit {
        tag = Normalizer.normalize(tag.strip(), Normalizer.Form.NFC);
        if (tag.codePointCount(0, tag.length()) > LONGEST_TAG
                || !TAG.matcher(tag).matches()) {
            throw new Refusal(
                    "tag",
                    "“%s” is no tag: write up to %d letters and digits, with hyphens, dots or underlines between them."
                            .formatted(tag, LONGEST_TAG));
        }
        name = Checks.text("The unit's name", name, LONGEST_NAME);
        what = Checks.text("The kind of thing", what, LONGEST_NAME);
        size = size.widthM() == null || size.lengthM() == null
                ? KitSize.NONE
                : KitSize.flat(size.widthM(), size.lengthM());
        packedIn = packedIn == null || packedIn.isBlank() ? null : Checks.text("The case", packedIn, LONGEST_CASE);
        spans = List.copyOf(spans);
        if (spans.size() > MOST_SPANS) {
            throw new Refusal(
                    "spans", "Of a unit %d absences are kept at most: strike old ones.".formatted(MOST_SPANS));
        }
        for (int i = 0; i < spans.size(); i++) {
            for (int j = 0; j < i; j++) {
                if (spans.get(i).meets(spans.get(j))) {
                    throw new Refusal(
                            "spans",
                            "%s would be %s and %s on one day: end one before the other begins."
                                    .formatted(
                                            name,
                                            spans.get(j).say(),
                                            spans.get(i).say()));
                }
            }
        }
    }

    /** Tags are one when they differ in capitals only. */
    public static String tagKey(String tag) {
        return Normalizer.normalize(tag.strip(), Normalizer.Form.NFC).toLowerCase(Locale.ROOT);
    }

    /** Where it is on a day, when it is not in the store. */
    public Optional<UnitSpan> on(LocalDate day) {
        return spans.stream().filter(s -> s.isOn(day)).findFirst();
    }

    /** Whether the crew can have it on a day. */
    public boolean isThere(LocalDate day) {
        return whyNot(day).isEmpty();
    }

    /** Why a crew cannot have it on a day: {@code out on hire until 20 Nov}; empty when it can. */
    public Optional<String> whyNot(LocalDate day) {
        if (hiredUntil != null && day.isAfter(hiredUntil)) {
            return Optional.of("hired until %s".formatted(UnitSpan.day(hiredUntil)));
        }
        return on(day).filter(s -> !s.state().isThere()).map(UnitSpan::say);
    }

    /** {@code Muslin, bleached 2.4 × 2.4 m}. */
    public Phrase kind() {
        return size.equals(KitSize.NONE) ? Phrase.of(what) : Phrase.format("%s %s", what, size.phrase());
    }
}
