package org.oblume.server.paper;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The type that ships with the product, in one document. What it has no sign for is written as the nearest that it has. */
final class Type {

    private static final Map<Pen.Face, String> FILES = Map.of(
            Pen.Face.TEXT,
            "AtkinsonHyperlegibleNext_400Regular.ttf",
            Pen.Face.BOLD,
            "AtkinsonHyperlegibleNext_700Bold.ttf",
            Pen.Face.FIGURES,
            "AtkinsonHyperlegibleMono_500Medium.ttf");
    private static final Map<String, String> INSTEAD =
            Map.of("⅓", "1/3", "⅔", "2/3", "½", "1/2", "′", "'", "″", "\"", "−", "-", "\u00a0", " ", "→", "to");
    private static final double PER_MILLE = 1000;
    private final Map<Pen.Face, PDFont> fonts = new EnumMap<>(Pen.Face.class);

    Type(PDDocument document) {
        FILES.forEach((face, file) -> {
            try (InputStream in = Objects.requireNonNull(Type.class.getResourceAsStream("/fonts/" + file))) {
                fonts.put(face, PDType0Font.load(document, in, true));
            } catch (IOException missing) {
                throw new UncheckedIOException(missing);
            }
        });
    }

    PDFont font(Pen.Face face) {
        return Objects.requireNonNull(fonts.get(face));
    }

    /** The text as this face can write it. */
    String written(String text, Pen.Face face) {
        StringBuilder written = new StringBuilder();
        text.codePoints().forEach(c -> {
            String one = Character.toString(c);
            written.append(
                    can(one, face)
                            ? one
                            : can(INSTEAD.getOrDefault(one, "?"), face) ? INSTEAD.getOrDefault(one, "?") : "?");
        });
        return written.toString();
    }

    private boolean can(String one, Pen.Face face) {
        try {
            font(face).encode(one);
            return true;
        } catch (IllegalArgumentException | IOException noSuchSign) {
            return false;
        }
    }

    double width(String text, Pen.Face face, double size) {
        try {
            return font(face).getStringWidth(written(text, face)) / PER_MILLE * size;
        } catch (IOException damaged) {
            throw new UncheckedIOException(damaged);
        }
    }
}
