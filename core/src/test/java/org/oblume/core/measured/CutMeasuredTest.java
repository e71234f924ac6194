package org.oblume.core.measured;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.CutList;
import org.oblume.core.kit.CutPlan;
import org.oblume.core.kit.KitSize;
import org.oblume.core.kit.StockForm;

/** How many sheets a cut list takes beside the fewest that cuts from edge to edge could: {@code ./oblume bench}. */
@Tag("measure")
class CutMeasuredTest {

    private static final int LISTS = 300;
    private static final int MOST_PIECES = 6;

    /** A piece with the margin around it. */
    private record Piece(double w, double h) {}

    @Test
    void aCutListIsSetBesideTheBestOfSmallOnes() {
        Random any = new Random(11);
        int more = 0;
        int taken = 0;
        int fewest = 0;
        for (int i = 0; i < LISTS; i++) {
            List<CutPlan.Wanted> wanted = new ArrayList<>();
            List<Piece> pieces = new ArrayList<>();
            while (pieces.size() < 2 + any.nextInt(MOST_PIECES - 1)) {
                double w = (8 + any.nextInt(37)) / 100.0;
                double h = (8 + any.nextInt(37)) / 100.0;
                int count = 1 + any.nextInt(Math.min(3, MOST_PIECES - pieces.size()));
                wanted.add(new CutPlan.Wanted(KitSize.flat(w, h), count));
                for (int n = 0; n < count; n++) {
                    pieces.add(new Piece(w + CutList.DEFAULT_MARGIN_M, h + CutList.DEFAULT_MARGIN_M));
                }
            }
            CutPlan plan =
                    CutPlan.of(wanted, List.of(new CountedStock("Gel", StockForm.SHEET, KitSize.NONE, 99, null)));
            int best = fewest(pieces);
            assertThat(plan.sheets()).isGreaterThanOrEqualTo(best);
            more += plan.sheets() > best ? 1 : 0;
            taken += plan.sheets();
            fewest += best;
        }
        System.out.printf(
                Locale.ROOT,
                "MEASURED core cut lists of 2 to %d pieces beside all ways of cutting: %d of %d take more sheets than the fewest, %d sheets for %d%n",
                MOST_PIECES,
                more,
                LISTS,
                taken,
                fewest);
    }

    /** Over all ways to share the pieces out onto sheets that can be cut so; at a sheet's own edge no margin is needed. */
    private static int fewest(List<Piece> pieces) {
        int all = (1 << pieces.size()) - 1;
        Map<String, Boolean> known = new HashMap<>();
        boolean[] onOne = new boolean[all + 1];
        for (int set = 1; set <= all; set++) {
            onOne[set] = fits(
                    CutList.SHEET.widthM() + CutList.DEFAULT_MARGIN_M,
                    CutList.SHEET.heightM() + CutList.DEFAULT_MARGIN_M,
                    set,
                    pieces,
                    known);
        }
        int[] sheets = new int[all + 1];
        Arrays.fill(sheets, pieces.size());
        sheets[0] = 0;
        for (int set = 1; set <= all; set++) {
            for (int part = set; part > 0; part = (part - 1) & set) {
                if (onOne[part]) {
                    sheets[set] = Math.min(sheets[set], sheets[set ^ part] + 1);
                }
            }
        }
        return sheets[all];
    }

    /** Whether pieces can be cut from a rectangle by cuts from edge to edge, each piece either way round. */
    private static boolean fits(double w, double h, int set, List<Piece> pieces, Map<String, Boolean> known) {
        double area = 0;
        for (int i = 0; i < pieces.size(); i++) {
            area += (set >> i & 1) == 0 ? 0 : pieces.get(i).w * pieces.get(i).h;
        }
        if (area > w * h + 1e-9) {
            return false;
        }
        if (Integer.bitCount(set) == 1) {
            Piece one = pieces.get(Integer.numberOfTrailingZeros(set));
            return (one.w <= w + 1e-9 && one.h <= h + 1e-9) || (one.h <= w + 1e-9 && one.w <= h + 1e-9);
        }
        String key = "%.3f %.3f %d".formatted(w, h, set);
        Boolean before = known.get(key);
        if (before != null) {
            return before;
        }
        boolean found = false;
        for (int part = (set - 1) & set; part > 0 && !found; part = (part - 1) & set) {
            for (double cut : sums(part, pieces)) {
                found |= cut < w && fits(cut, h, part, pieces, known) && fits(w - cut, h, set ^ part, pieces, known);
                found |= cut < h && fits(w, cut, part, pieces, known) && fits(w, h - cut, set ^ part, pieces, known);
                if (found) {
                    break;
                }
            }
        }
        known.put(key, found);
        return found;
    }

    /** How wide a part can be: a sum of sides of its pieces. */
    private static List<Double> sums(int part, List<Piece> pieces) {
        List<Double> all = new ArrayList<>(List.of(0.0));
        for (int i = 0; i < pieces.size(); i++) {
            if ((part >> i & 1) == 1) {
                List<Double> next = new ArrayList<>(all);
                for (double sum : all) {
                    next.add(sum + pieces.get(i).w);
                    next.add(sum + pieces.get(i).h);
                }
                all = next.stream().distinct().toList();
            }
        }
        return all.stream().filter(s -> s > 0).toList();
    }
}
