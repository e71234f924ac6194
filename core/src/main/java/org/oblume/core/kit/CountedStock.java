package org.oblume.core.kit;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * Stock without tags, of which only the number is known.
 *
 * @param what the name of a filter or cloth, or a kind of thing, 1 to 80 characters
 * @param size as its form has one; a sheet of which none is said is 0.53 × 1.22 m, a roll 1.22 m wide
 * @param count 0 to 100 000
 * @param packedIn the case that it lies in, 1 to 40 characters, or null
 */
public record CountedStock(String what, StockForm form, KitSize size, int count, @Nullable String packedIn) {

    /** Of a roll of which no width is said. */
    public static final double ROLL_WIDTH_M = 1.22;

    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_CASE = 40;
    private static final int MOST = 100_000;

    public CountedStock {
        what = Checks.text("What is counted", what, LONGEST_NAME);
        size = complete(what, form, size);
        if (count < 0) {
            throw new Refusal("count", "%s: there are 0 or more of it.".formatted(what));
        }
        Checks.within("count", "The number of %s".formatted(what), count, 0, MOST, "");
        packedIn = packedIn == null || packedIn.isBlank() ? null : Checks.text("The case", packedIn, LONGEST_CASE);
    }

    private static KitSize complete(String what, StockForm form, KitSize size) {
        return switch (form) {
            case SHEET ->
                size.widthM() == null && size.lengthM() == null
                        ? KitSize.flat(CutList.SHEET.widthM(), CutList.SHEET.heightM())
                        : KitSize.flat(
                                said("widthM", what, "how wide a sheet is", size.widthM()),
                                said("lengthM", what, "how long a sheet is", size.lengthM()));
            case ROLL ->
                KitSize.flat(
                        size.widthM() == null ? ROLL_WIDTH_M : size.widthM(),
                        said("lengthM", what, "how much is left on the roll", size.lengthM()));
            case CLOTH ->
                KitSize.flat(
                        said("widthM", what, "how wide the cloth is", size.widthM()),
                        said("lengthM", what, "how high the cloth is", size.lengthM()));
            case CABLE ->
                new KitSize(
                        null,
                        said("lengthM", what, "how long the cable is", size.lengthM()),
                        said("areaMm2", what, "its section", size.areaMm2()),
                        null);
            case BATTERY -> new KitSize(null, null, null, said("wattHours", what, "its watt hours", size.wattHours()));
            case STAND, CLAMP, SANDBAG, BOND, PIECE -> KitSize.NONE;
        };
    }

    private static double said(String field, String what, String wanted, @Nullable Double figure) {
        if (figure == null) {
            throw new Refusal(field, "%s: say %s.".formatted(what, wanted));
        }
        return figure;
    }

    /** What is said of it beside its name: {@code roll, 1.22 × 4.2 m}; empty when the name says all. */
    public Phrase detail() {
        String word = what.equalsIgnoreCase(form.word()) || form == StockForm.PIECE ? "" : form.word();
        if (size.equals(KitSize.NONE)) {
            return Phrase.of(word);
        }
        return word.isEmpty() ? size.phrase() : Phrase.format("%s, %s", word, size.phrase());
    }

    /** What it is told apart by: {@code Half CTO, roll, 1.22 × 4.2 m}. */
    public Phrase phrase() {
        Phrase detail = detail();
        return detail.metric().isEmpty() ? Phrase.of(what) : Phrase.format("%s, %s", what, detail);
    }

    /** Whether another row is of the very same. */
    public boolean isLike(CountedStock other) {
        return form == other.form && what.equalsIgnoreCase(other.what) && size.equals(other.size);
    }
}
