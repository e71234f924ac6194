package org.oblume.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How flat pieces of one filter or cloth are had from what there is of it. Greedy, the largest piece first: a cloth of its very size, then
 * what is cut whole from a sheet or a roll, then the smallest cloth that covers it and is no waste, then widths of a roll joined. Of a sheet pieces of
 * one size are cut first, as {@link CutList} has it, smaller ones from what is left of it; all cuts go from edge to edge (model).
 *
 * @param pieces one for each size
 * @param sheets used, 0 or more
 * @param rollM used of rolls, metres, 0 or more
 * @param leftOver part of what was cut into that no piece is of, 0 to 1
 * @param toBuyRollM metres of roll that the pieces that are missing would take
 */
public record CutPlan(List<Cut> pieces, int sheets, double rollM, double leftOver, double toBuyRollM) {

    private static final double SLACK_M = 1e-9;

    /**
     * Pieces of a size.
     *
     * @param cloths whole cloths that are taken, as they are
     * @param fromSheets pieces cut from sheets
     * @param fromRoll pieces cut from rolls, joined ones too
     * @param joined of those, joined from two widths or more
     * @param missing for which nothing is left
     */
    public record Cut(KitSize size, int wanted, int cloths, int fromSheets, int fromRoll, int joined, int missing) {}

    /** Pieces of a size that are wanted. */
    public record Wanted(KitSize size, int count) {}

    /**
     * @param wanted pieces of one filter or cloth
     * @param there what is counted of it: sheets, rolls and cloths
     */
    public static CutPlan of(List<Wanted> wanted, List<CountedStock> there) {
        Cutting cutting = new Cutting(there);
        List<Asked> asked = wanted.stream().map(Asked::new).toList();
        List<Asked> order = asked.stream()
                .sorted(Comparator.comparingDouble((Asked a) -> -a.size().areaM2()))
                .toList();
        order.forEach(cutting::exactCloths);
        order.forEach(cutting::sheets);
        order.forEach(a -> cutting.roll(a, false));
        order.forEach(cutting::coveringCloths);
        order.forEach(a -> cutting.roll(a, true));
        return cutting.plan(asked);
    }

    /** How far a roll goes for pieces of a size: columns across it, or widths that are joined for one piece. */
    private record Laid(int columns, int widths, double alongM) {

        /** The better way round on a roll that is so wide; joined only when neither lies across it. */
        static Laid of(double rollWideM, KitSize size, int count) {
            Laid upright = one(rollWideM, width(size), height(size));
            Laid turned = one(rollWideM, height(size), width(size));
            return turned.metres(count) < upright.metres(count) ? turned : upright;
        }

        private static Laid one(double rollWideM, double acrossM, double alongM) {
            if (acrossM <= rollWideM + SLACK_M) {
                int columns = (int) Math.max(1, Math.floor(rollWideM / (acrossM + CutList.DEFAULT_MARGIN_M) + SLACK_M));
                return new Laid(columns, 1, alongM + CutList.DEFAULT_MARGIN_M);
            }
            int widths = (int) Math.ceil(acrossM / (rollWideM - CutList.DEFAULT_MARGIN_M) - SLACK_M);
            return new Laid(1, widths, widths * (alongM + CutList.DEFAULT_MARGIN_M));
        }

        boolean isJoined() {
            return widths > 1;
        }

        double metres(int count) {
            return Math.ceil((double) count / columns) * alongM;
        }

        /** How many pieces come off so many metres; a margin at the very end may be missing. */
        int from(double metres) {
            return (int) Math.floor((metres + CutList.DEFAULT_MARGIN_M) / alongM + SLACK_M) * columns;
        }
    }

    private static double width(KitSize size) {
        return size.widthM() == null ? 0 : size.widthM();
    }

    private static double height(KitSize size) {
        return size.lengthM() == null ? 0 : size.lengthM();
    }

    private static final class Left {

        private final CountedStock of;
        private double left;

        Left(CountedStock of, double left) {
            this.of = of;
            this.left = left;
        }
    }

    /** A rectangle that is left of a sheet, metres. */
    private record Offcut(double wideM, double highM) {

        boolean gives(double acrossM, double downM) {
            return acrossM <= wideM + SLACK_M && downM <= highM + SLACK_M;
        }
    }

    /** A size, and how it is had so far. */
    private static final class Asked {

        private final Wanted wanted;
        private int cloths;
        private int fromSheets;
        private int fromRoll;
        private int joined;

        Asked(Wanted wanted) {
            this.wanted = wanted;
        }

        KitSize size() {
            return wanted.size;
        }

        int open() {
            return wanted.count - cloths - fromSheets - fromRoll;
        }

        Cut cut() {
            return new Cut(wanted.size, wanted.count, cloths, fromSheets, fromRoll, joined, open());
        }
    }

    private static final class Cutting {

        private final List<Left> cloths;
        private final List<Left> sheets;
        private final List<Left> rolls;
        private final List<Offcut> offcuts = new ArrayList<>();
        private int usedSheets;
        private double usedRollM;
        private double cutIntoM2;
        private double cutM2;

        Cutting(List<CountedStock> there) {
            cloths = of(there, StockForm.CLOTH);
            sheets = of(there, StockForm.SHEET);
            rolls = new ArrayList<>();
            there.stream().filter(s -> s.form() == StockForm.ROLL).forEach(s -> {
                for (int i = 0; i < s.count(); i++) {
                    rolls.add(new Left(s, height(s.size())));
                }
            });
            rolls.sort(Comparator.comparingDouble(r -> r.left));
        }

        private static List<Left> of(List<CountedStock> there, StockForm form) {
            return there.stream()
                    .filter(s -> s.form() == form)
                    .sorted(Comparator.comparingDouble(s -> s.size().areaM2()))
                    .map(s -> new Left(s, s.count()))
                    .toList();
        }

        void exactCloths(Asked asked) {
            cloths.stream().filter(c -> c.of.size().isAbout(asked.size())).forEach(c -> take(c, asked));
        }

        void coveringCloths(Asked asked) {
            cloths.stream().filter(c -> c.of.size().suits(asked.size())).forEach(c -> take(c, asked));
        }

        private void take(Left cloth, Asked asked) {
            int taken = (int) Math.min(cloth.left, asked.open());
            cloth.left -= taken;
            asked.cloths += taken;
        }

        /** From what other sizes left of sheets, then from whole ones, as many of each as {@link CutList} has it. */
        void sheets(Asked asked) {
            while (asked.open() > 0 && takeOffcut(asked.size())) {
                asked.fromSheets++;
                cut(asked, 1, 0);
            }
            for (Left sheet : sheets) {
                int open = asked.open();
                if (open > 0 && sheet.left > 0 && sheet.of.size().covers(asked.size())) {
                    CutList.Sheet whole = new CutList.Sheet(width(sheet.of.size()), height(sheet.of.size()));
                    CutList.CutPiece laid = CutList.of(
                                    whole, List.of(wanted(asked.size(), open)), CutList.DEFAULT_MARGIN_M)
                            .pieces()
                            .get(0);
                    int used = (int) Math.min(sheet.left, Math.ceil((double) open / laid.perSheet()));
                    int pieces = Math.min(open, used * laid.perSheet());
                    sheet.left -= used;
                    usedSheets += used;
                    asked.fromSheets += pieces;
                    cut(asked, pieces, used * sheet.of.size().areaM2());
                    for (int i = 0; i < used; i++) {
                        keepOffcuts(whole, laid, asked.size(), Math.min(laid.perSheet(), pieces - i * laid.perSheet()));
                    }
                }
            }
        }

        /** What is left of a sheet by cuts from edge to edge: beside the columns, below the rows, and of a row that is not full. */
        private void keepOffcuts(CutList.Sheet whole, CutList.CutPiece laid, KitSize size, int pieces) {
            double acrossM = (laid.turned() ? height(size) : width(size)) + CutList.DEFAULT_MARGIN_M;
            double downM = (laid.turned() ? width(size) : height(size)) + CutList.DEFAULT_MARGIN_M;
            int rest = pieces % laid.columns();
            int rows = pieces / laid.columns() + (rest > 0 ? 1 : 0);
            double columnsM = Math.min(whole.widthM(), laid.columns() * acrossM);
            keep(whole.widthM() - columnsM, whole.heightM());
            keep(columnsM, whole.heightM() - rows * downM);
            keep(rest == 0 ? 0 : columnsM - rest * acrossM, downM);
        }

        private void keep(double wideM, double highM) {
            if (wideM > SLACK_M && highM > SLACK_M) {
                offcuts.add(new Offcut(wideM, highM));
            }
        }

        /** Cuts a piece from the smallest offcut that gives it, and keeps the two that are left of that. */
        private boolean takeOffcut(KitSize size) {
            Optional<Offcut> best = offcuts.stream()
                    .filter(o -> o.gives(width(size), height(size)) || o.gives(height(size), width(size)))
                    .min(Comparator.comparingDouble(o -> o.wideM * o.highM));
            best.ifPresent(from -> {
                offcuts.remove(from);
                boolean upright = from.gives(width(size), height(size));
                double w = Math.min(from.wideM, (upright ? width(size) : height(size)) + CutList.DEFAULT_MARGIN_M);
                double h = Math.min(from.highM, (upright ? height(size) : width(size)) + CutList.DEFAULT_MARGIN_M);
                boolean down = (from.wideM - w) * from.highM > from.wideM * (from.highM - h);
                keep(from.wideM - w, down ? from.highM : h);
                keep(down ? w : from.wideM, from.highM - h);
            });
            return best.isPresent();
        }

        private static CutList.Wanted wanted(KitSize size, int count) {
            return new CutList.Wanted("piece", width(size), height(size), count);
        }

        void roll(Asked asked, boolean joined) {
            for (Left roll : rolls) {
                int open = asked.open();
                if (open > 0) {
                    double wide = width(roll.of.size());
                    Laid laid = Laid.of(wide, asked.size(), open);
                    int pieces = laid.isJoined() == joined ? Math.min(open, laid.from(roll.left)) : 0;
                    if (pieces > 0) {
                        double metres = Math.min(roll.left, laid.metres(pieces));
                        roll.left -= metres;
                        usedRollM += metres;
                        asked.fromRoll += pieces;
                        asked.joined += joined ? pieces : 0;
                        cut(asked, pieces, metres * wide);
                    }
                }
            }
        }

        private void cut(Asked asked, int pieces, double intoM2) {
            cutM2 += pieces * asked.size().areaM2();
            cutIntoM2 += intoM2;
        }

        CutPlan plan(List<Asked> asked) {
            double toBuy = asked.stream()
                    .filter(a -> a.open() > 0)
                    .mapToDouble(a -> Laid.of(CountedStock.ROLL_WIDTH_M, a.size(), a.open())
                            .metres(a.open()))
                    .sum();
            return new CutPlan(
                    asked.stream().map(Asked::cut).toList(),
                    usedSheets,
                    usedRollM,
                    cutIntoM2 == 0 ? 0 : 1 - cutM2 / cutIntoM2,
                    toBuy);
        }
    }
}
