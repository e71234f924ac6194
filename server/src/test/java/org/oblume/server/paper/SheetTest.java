package org.oblume.server.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sheets as they are laid out: nothing runs off the paper, nothing is lost at a turn of the page. */
class SheetTest {

    private static final String LINK = "http://192.168.8.10:8080/shots/3/rebuild";

    @Test
    void aLongTableGoesOnOverPagesWithItsHeadOnEach() throws IOException {
        List<List<String>> rows = IntStream.rangeClosed(1, 120)
                .mapToObj(i -> List.of(
                        "Row %d".formatted(i),
                        "some words that are wide enough to be broken into lines ".repeat(1 + i % 3)))
                .toList();
        try (PDDocument pdf = laidOut(new Sheet.Table(
                "Things", List.of(new Sheet.Column("Number", 1, true), new Sheet.Column("Words", 2, false)), rows))) {
            assertThat(pdf.getNumberOfPages()).isGreaterThan(3);
            for (int page = 1; page <= pdf.getNumberOfPages(); page++) {
                PDFTextStripper reader = new PDFTextStripper();
                reader.setStartPage(page);
                reader.setEndPage(page);
                assertThat(reader.getText(pdf))
                        .contains("Number")
                        .contains("%d of %d".formatted(page, pdf.getNumberOfPages()));
            }
            String all = new PDFTextStripper().getText(pdf);
            assertThat(all).contains("Row 1 ", "Row 60", "Row 120");
        }
    }

    @Test
    void aStepIsNeverCutInTwoByTheEndOfAPage() throws IOException {
        List<Sheet.Task> steps = IntStream.rangeClosed(1, 40)
                .mapToObj(i -> new Sheet.Task(
                        i,
                        "Head %d".formatted(i),
                        "LED spot",
                        List.of("A 2.00 m from post.", "Aim level.", "last line of %d".formatted(i)),
                        i % 2 == 0))
                .toList();
        try (PDDocument pdf = laidOut(new Sheet.Steps(steps))) {
            int seen = 0;
            for (int page = 1; page <= pdf.getNumberOfPages(); page++) {
                PDFTextStripper reader = new PDFTextStripper();
                reader.setStartPage(page);
                reader.setEndPage(page);
                String text = reader.getText(pdf);
                Matcher heads = Pattern.compile("(\\d+) +Head \\1\\b").matcher(text);
                while (heads.find()) {
                    assertThat(text).containsPattern("last line of %s\\b".formatted(heads.group(1)));
                    seen++;
                }
            }
            assertThat(seen).isEqualTo(40);
        }
    }

    @Test
    void nothingIsWrittenPastTheMargins() throws IOException {
        String endless = "x".repeat(400);
        try (PDDocument pdf = laidOut(
                new Sheet.Say(endless + " and words " + endless, false),
                new Sheet.Table(
                        "",
                        List.of(new Sheet.Column("One", 1, true), new Sheet.Column("Two", 5, false)),
                        List.of(List.of(endless, endless))))) {
            double width = pdf.getPage(0).getMediaBox().getWidth();
            new PDFTextStripper() {
                @Override
                protected void processTextPosition(TextPosition text) {
                    assertThat(text.getX()).isGreaterThanOrEqualTo(39);
                    assertThat(text.getX() + text.getWidth()).isLessThanOrEqualTo((float) width - 39);
                    assertThat(text.getY())
                            .isBetween(20f, pdf.getPage(0).getMediaBox().getHeight() - 10);
                }
            }.getText(pdf);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"T5.6 ⅓", "7′ 0 1/4″", "−2 1/3", "日本語", "🔦", "Käthe’s lamp", "\u0007bell", ""})
    void whateverACrewTypesIsWrittenOrReplacedAndNeverBreaksTheSheet(String text) throws IOException {
        try (PDDocument pdf = laidOut(new Sheet.Say("before " + text + " after", false))) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("before", "after");
        }
    }

    @Test
    void aFigureStaysOnTheLineOfItsUnit() throws IOException {
        String tapes = "2.75 m from post, 2.80 m from counter, 70 % at 5600 K, then ".repeat(6);
        List<List<String>> rows = List.of(List.of(tapes, tapes, tapes, tapes));
        List<Sheet.Column> columns = IntStream.of(3, 4, 5, 7)
                .mapToObj(share -> new Sheet.Column("Place", share, false))
                .toList();
        try (PDDocument pdf = laidOut(new Sheet.Table("", columns, rows))) {
            assertThat(new PDFTextStripper().getText(pdf).lines().map(String::strip))
                    .noneMatch(line -> line.matches("(m|%|K)\\b?.*"));
        }
    }

    @Test
    void aWordIsNotBrokenWhileAnotherColumnHasRoomToGive() throws IOException {
        List<Sheet.Column> columns = List.of(new Sheet.Column("Name", 1, false), new Sheet.Column("Level", 20, true));
        try (PDDocument pdf = laidOut(new Sheet.Table("", columns, List.of(List.of("Passengers'", "60 %"))))) {
            assertThat(new PDFTextStripper().getText(pdf)).containsPattern("Passengers' +60 %");
        }
    }

    @Test
    void thirdsAndFeetAreWrittenWithSignsThatTheTypeHas() throws IOException {
        try (PDDocument pdf = laidOut(new Sheet.Say("T5.6 ⅓ at 7′ 2″", false))) {
            assertThat(new PDFTextStripper().getText(pdf)).containsPattern("T5.6 (⅓|1/3) at 7['′] 2[\"″]");
        }
    }

    @Test
    void theTypeIsInTheFileSoThatItLooksTheSameEverywhere() throws IOException {
        try (PDDocument pdf = laidOut(new Sheet.Say("words", false), new Sheet.Say("bold words", true))) {
            PDPage page = pdf.getPage(0);
            assertThat(page.getResources().getFontNames()).hasSizeGreaterThanOrEqualTo(2);
            for (var name : page.getResources().getFontNames()) {
                PDFont font = page.getResources().getFont(name);
                assertThat(font.isEmbedded()).isTrue();
                assertThat(font.getName()).contains("AtkinsonHyperlegible");
            }
        }
    }

    /** One link and one resolution, so that the same dots are read each time. */
    @Test
    void theCodeIsReadBackAsTheLink() throws Exception {
        try (PDDocument pdf = laidOut(new Sheet.Say("words", false))) {
            BufferedImage page = new PDFRenderer(pdf).renderImageWithDPI(0, 300);
            int side = page.getWidth() / 4;
            BufferedImage corner = page.getSubimage(page.getWidth() - side - 60, 40, side, side);
            assertThat(new QRCodeReader()
                            .decode(
                                    new BinaryBitmap(new HybridBinarizer(new BufferedImageLuminanceSource(corner))),
                                    Map.of(DecodeHintType.TRY_HARDER, true))
                            .getText())
                    .isEqualTo(LINK);
        }
    }

    @Test
    void aSvgTakesNoTextForMarkup() {
        SvgPen pen = new SvgPen(100, 50);
        pen.text(new Pen.At(1, 2), "<script>alert(1)</script> & \"quotes\"", Pen.Face.BOLD, 7);
        assertThat(pen.svg("<b>title</b>"))
                .doesNotContain("<script", "<b>")
                .contains("&lt;script&gt;", "font-weight=\"700\"");
    }

    @Test
    void aSvgHasDashesGreysAndCircles() {
        SvgPen pen = new SvgPen(100, 50);
        pen.circle(new Pen.At(10, 10), 5, Pen.Stroke.SOLID, 1.0);
        pen.shape(List.of(new Pen.At(0, 0), new Pen.At(5, 5)), false, new Pen.Stroke(0.5, 5, 3), null);
        assertThat(pen.svg("plot"))
                .contains(
                        "<circle cx=\"10.00\" cy=\"10.00\" r=\"5.00\" fill=\"#ffffff\"",
                        "stroke-dasharray=\"5.0 3.0\"",
                        "fill=\"none\"");
    }

    @Test
    void aBarOfTheScaleIsAsLongAsItSays() {
        SvgPen pen = new SvgPen(400, 50);
        PlanDrawing.scaleBar(pen, new Pen.At(0, 0), 50);
        double metre = 72 / 0.0254 / 50;
        assertThat(pen.svg("bar")).contains("Scale 1 : 50").contains("points=\"0.00,0.00 %.2f,0.00".formatted(metre));
        assertThat(metre * 50 * 0.0254 / 72).isCloseTo(1, within(1e-9));
    }

    private static PDDocument laidOut(Sheet.Part... parts) throws IOException {
        return Loader.loadPDF(PdfSheet.of(
                new Sheet("4C, rebuild", "Sc. 4 INT. RADIO REPAIR SHOP, NIGHT", LINK, false, List.of(parts)),
                "Printed by a test"));
    }
}
