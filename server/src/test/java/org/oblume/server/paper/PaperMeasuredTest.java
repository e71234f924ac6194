package org.oblume.server.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;

/** How long a plot of forty heads takes to be laid out as a PDF, beside a page of one line in the same type. Asserts no time. */
@Tag("measure")
class PaperMeasuredTest {

    private static final int RUNS = 200;

    @Test
    void aPlotOfFortyHeadsIsMeasured() {
        PlanDrawing drawing = fortyHeads();
        Sheet plot = new Sheet(
                "1A, plot", "Sc. 1", "http://localhost/shots/1/plot", true, List.of(new Sheet.Plan(drawing, 0)));
        Sheet line = new Sheet(
                "1A, plot", "Sc. 1", "http://localhost/shots/1/plot", true, List.of(new Sheet.Say("One line.", false)));
        assertThat(PdfSheet.of(plot, "Printed")).isNotEmpty();
        System.out.printf(
                Locale.ROOT,
                "MEASURED PDF of a plot of 40 heads: median %.1f ms, 95th percentile %.1f; a page of one line: median %.1f ms, 95th percentile %.1f; its drawing as SVG: median %.1f ms%n",
                times(() -> PdfSheet.of(plot, "Printed"), 0.5),
                times(() -> PdfSheet.of(plot, "Printed"), 0.95),
                times(() -> PdfSheet.of(line, "Printed"), 0.5),
                times(() -> PdfSheet.of(line, "Printed"), 0.95),
                times(() -> svg(drawing), 0.5));
    }

    private static String svg(PlanDrawing drawing) {
        SvgPen pen = new SvgPen(drawing.widthPt(50), drawing.heightPt(50));
        drawing.draw(pen, new Pen.At(0, 0), 50);
        return pen.svg("Plot");
    }

    private static double times(Supplier<Object> what, double percentile) {
        double[] ms = new double[RUNS];
        for (int i = -RUNS / 4; i < RUNS; i++) {
            long start = System.nanoTime();
            what.get();
            if (i >= 0) {
                ms[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        Arrays.sort(ms);
        return ms[(int) (percentile * (RUNS - 1))];
    }

    private static PlanDrawing fortyHeads() {
        List<Placement> placements = new ArrayList<>();
        List<Knot> knots = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            String key = "head-" + i;
            placements.add(new Placement(
                    key,
                    "Head " + i,
                    PlacementKind.HEAD,
                    Role.KEY,
                    null,
                    new Piece("LED spot", null, 0.3, 2700.0, 6500.0, 300, Mount.STAND)));
            for (AttributeValue value : List.of(
                    SetStatus.ON,
                    Place.of(1 + i % 8 * 1.7, 1 + i / 8 * 1.9),
                    new Height(2),
                    AimSetting.along(i * 37, -20),
                    new Level(i * 2),
                    new Beam(40))) {
                knots.add(
                        new Knot(new Slate("1A"), key, value, new Attribution(null, null, "gaffer", Instant.EPOCH, 1)));
            }
        }
        CarryBook book = CarryBook.of(List.of(new ShotNode(new Slate("1A"), null, ShotStage.PLANNED)), knots);
        return new PlanDrawing(
                SceneRecord.of(SetPlan.room(15, 11, 4), placements, book), book.resolve(new Slate("1A")));
    }
}
