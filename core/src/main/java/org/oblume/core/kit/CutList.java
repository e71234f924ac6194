package org.oblume.core.kit;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * How many pieces are cut from a sheet, and how many sheets that takes. Model: all pieces of a name lie one way round, upright or turned,
 * whichever gives more; pieces of two names are never cut from one sheet.
 *
 * @param pieces in the order in which they were asked for
 */
public record CutList(List<CutPiece> pieces) {

    /** Around each piece, unless it only just fits, metres. */
    public static final double DEFAULT_MARGIN_M = 0.04;
    /** A sheet as it is sold, metres. */
    public static final Sheet SHEET = new Sheet(0.53, 1.22);

    private static final double SLACK = 1e-9;

    /** Metres, above 0. */
    public record Sheet(double widthM, double heightM) {

        public Sheet {
            Checks.above0("widthM", "A sheet's width", widthM, " m");
            Checks.above0("heightM", "A sheet's height", heightM, " m");
        }
    }

    /**
     * What is wanted.
     *
     * @param widthM metres, above 0
     * @param heightM metres, above 0
     * @param count 0 or more
     */
    public record Wanted(String name, double widthM, double heightM, int count) {

        public Wanted {
            Checks.above0("widthM", "The width of %s".formatted(name), widthM, " m");
            Checks.above0("heightM", "The height of %s".formatted(name), heightM, " m");
            if (count < 0) {
                throw new Refusal("count", "%s is wanted 0 times or more.".formatted(name));
            }
        }
    }

    /**
     * @param turned whether its width lies along the sheet's height
     * @param columns side by side on a sheet, 1 or more
     * @param rows one below the other, 1 or more
     * @param sheets 0 or more
     * @param leftOver part of those sheets that no piece is cut from, 0 to 1
     */
    public record CutPiece(String name, boolean turned, int columns, int rows, int sheets, double leftOver) {

        /** Pieces from one sheet, 1 or more. */
        public int perSheet() {
            return columns * rows;
        }
    }

    /**
     * @param marginM metres, 0 or more
     * @throws Refusal when a piece is larger than the sheet, or two have one name
     */
    public static CutList of(Sheet sheet, List<Wanted> pieces, double marginM) {
        Checks.notBelow0("marginM", "The margin", marginM, " m");
        Set<String> names = new HashSet<>();
        for (Wanted piece : pieces) {
            if (!names.add(piece.name)) {
                throw new Refusal("name", "Two pieces are called %s: give each its own name.".formatted(piece.name));
            }
        }
        return new CutList(pieces.stream().map(p -> cut(sheet, p, marginM)).toList());
    }

    private static CutPiece cut(Sheet sheet, Wanted piece, double marginM) {
        CutPiece upright = laid(sheet, piece, false, marginM);
        CutPiece turned = laid(sheet, piece, true, marginM);
        CutPiece better = turned.perSheet() > upright.perSheet() ? turned : upright;
        int most = better.perSheet();
        if (most == 0) {
            throw new Refusal(
                    "pieces",
                    "%s is larger than a sheet either way round: join it from pieces, or take a roll."
                            .formatted(piece.name));
        }
        int sheets = (int) Math.ceil((double) piece.count / most);
        double cut = piece.count * piece.widthM * piece.heightM;
        return new CutPiece(
                piece.name,
                better.turned,
                better.columns,
                better.rows,
                sheets,
                sheets == 0 ? 0 : 1 - cut / (sheets * sheet.widthM * sheet.heightM));
    }

    /** One way round; no columns or no rows where it does not fit so. */
    private static CutPiece laid(Sheet sheet, Wanted piece, boolean turned, double marginM) {
        return new CutPiece(
                piece.name,
                turned,
                across(sheet.widthM, turned ? piece.heightM : piece.widthM, marginM),
                across(sheet.heightM, turned ? piece.widthM : piece.heightM, marginM),
                0,
                0);
    }

    /** How many lie side by side; one that only just fits gives up its margin; 0 when it does not fit. */
    private static int across(double sheetM, double pieceM, double marginM) {
        if (pieceM > sheetM * (1 + SLACK)) {
            return 0;
        }
        return (int) Math.max(1, Math.floor(sheetM / (pieceM + marginM) + SLACK));
    }
}
