package org.oblume.server.set;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.xml.sax.ErrorHandler;
import org.xml.sax.SAXException;
import org.xml.sax.SAXParseException;

/**
 * A picture that was put in: PNG, JPEG or SVG, told by what is in it.
 *
 * @param focal35 of a photograph whose file tells it: its focal length as if on 36 mm of film, mm
 */
public record PictureFile(String mediaType, double widthPx, double heightPx, @Nullable Double focal35, byte[] bytes) {

    public static final int LARGEST_MB = 15;
    private static final double MOST_MEGAPIXELS = 60;
    /** No plan is drawn on a larger sheet; infinite is not a size. */
    private static final double LONGEST_PX = 1e6;

    /** Drawings are nested a few deep; a browser that draws one has a limit too. */
    private static final String DEEPEST = "200";

    private static final String NOT_ONE =
            "This is not a picture that can be read: save it as PNG or JPEG; a plan may be SVG too.";

    private static final String HEIC =
            "This is a HEIC picture, which cannot be read here: let the phone send or save it as JPEG.";

    /** @throws Refusal when it is no picture, or one that is too large to show */
    static PictureFile of(byte[] bytes) {
        return bytes.length > 0
                        && new String(bytes, 0, Math.min(bytes.length, 1000), StandardCharsets.UTF_8)
                                .stripLeading()
                                .startsWith("<")
                ? svg(bytes)
                : raster(bytes);
    }

    /**
     * A photograph: PNG, JPEG, or TIFF, which is kept as a PNG.
     *
     * @throws Refusal when it is neither, or has too many pixels to show
     */
    public static PictureFile photo(byte[] bytes) {
        return raster(bytes);
    }

    /** Whether bytes are a picture as this house keeps it: its head is looked at. */
    public static boolean isOne(byte[] bytes, boolean drawn) {
        try {
            PictureFile file = of(bytes);
            return drawn == file.mediaType().contains("svg");
        } catch (Refusal none) {
            return false;
        }
    }

    /** As an answer. An SVG is somebody else's file: opened by itself, nothing in it runs. */
    public ResponseEntity<byte[]> served() {
        byte[] shown = PictureMetadata.without(bytes); // those of earlier versions still have them
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(mediaType))
                .header("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; sandbox")
                .header("X-Content-Type-Options", "nosniff")
                // kept by the browser, but asked for: who may not see it any more does not, on a device that had it
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(digest(shown))
                .body(shown);
    }

    /** Which way up it is, 1 to 8, as TIFF numbers it. */
    public int turned() {
        return PictureMetadata.taken(bytes).turned();
    }

    /** Of its bytes: like pictures have like ones. */
    public String digest() {
        return digest(bytes);
    }

    private static String digest(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** Reads only the head: a small file can claim to be a picture that fills the memory. */
    private static PictureFile raster(byte[] bytes) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new Refusal(isHeic(bytes) ? HEIC : NOT_ONE);
            }
            ImageReader reader = readers.next();
            String format = reader.getFormatName().toLowerCase(Locale.ROOT);
            if (!Set.of("png", "jpeg", "tif", "tiff").contains(format)) {
                throw new Refusal(NOT_ONE);
            }
            reader.setInput(in);
            double width = reader.getWidth(0);
            double height = reader.getHeight(0);
            if (width * height > MOST_MEGAPIXELS * 1e6) {
                throw new Refusal("This picture has %.0f megapixels: save it with %.0f or fewer."
                        .formatted(width * height / 1e6, MOST_MEGAPIXELS));
            }
            if (PictureMetadata.moves(bytes)) {
                throw new Refusal("This picture moves: save the one frame that is meant, as PNG or JPEG.");
            }
            if (format.startsWith("tif")) {
                return raster(asPng(reader.read(0)));
            }
            reader.dispose();
            PictureMetadata.Taken taken = PictureMetadata.taken(bytes);
            return new PictureFile(
                    "image/" + format,
                    taken.isUpright() ? width : height,
                    taken.isUpright() ? height : width,
                    taken.focal35(),
                    PictureMetadata.without(bytes));
        } catch (IOException broken) {
            throw new Refusal(NOT_ONE);
        }
    }

    /** A picture that no browser shows, as it is coded, and without what it tells besides. */
    private static byte[] asPng(BufferedImage picture) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        if (!ImageIO.write(picture, "png", out)) {
            throw new Refusal("The colours of this TIFF cannot be read: save it as 8 or 16 bit RGB, or as PNG.");
        }
        return out.toByteArray();
    }

    /** An ISO base media file (ISO/IEC 14496-12) of one of the kinds that phones write. */
    private static boolean isHeic(byte[] bytes) {
        String head = new String(bytes, 0, Math.min(bytes.length, 12), StandardCharsets.ISO_8859_1);
        return head.startsWith("ftyp", 4) && (head.startsWith("hei", 8) || head.startsWith("mif1", 8));
    }

    private static PictureFile svg(byte[] bytes) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature("http://xml.org/sax/features/external-general-entities", false);
            factory.setFeature("http://xml.org/sax/features/external-parameter-entities", false);
            factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
            factory.setAttribute("jdk.xml.maxElementDepth", DEEPEST);
            factory.setNamespaceAware(true);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(new Quiet());
            Document document = builder.parse(new ByteArrayInputStream(bytes));
            if (document.getDoctype() != null && document.getDoctype().getInternalSubset() != null) {
                throw new Refusal(
                        "This SVG declares text of its own (entities), which a drawing does not need: export it as plain SVG.");
            }
            Element root = document.getDocumentElement();
            String[] box = root.getAttribute("viewBox").strip().split("[\\s,]+");
            double width = box.length == 4 ? Double.parseDouble(box[2]) : pixels(root.getAttribute("width"));
            double height = box.length == 4 ? Double.parseDouble(box[3]) : pixels(root.getAttribute("height"));
            if (!"svg".equals(root.getLocalName())
                    || !(width > 0 && width <= LONGEST_PX)
                    || !(height > 0 && height <= LONGEST_PX)) {
                throw new Refusal(NOT_ONE);
            }
            return new PictureFile("image/svg+xml", width, height, null, bytes);
        } catch (ParserConfigurationException | SAXException | IOException | NumberFormatException broken) {
            throw new Refusal(NOT_ONE);
        }
    }

    private static double pixels(String length) {
        return Double.parseDouble(length.strip().replaceFirst("(px)?$", ""));
    }

    /** What is wrong with a file is told to the person, not to the log. */
    private static final class Quiet implements ErrorHandler {

        @Override
        public void warning(SAXParseException warning) {
            // nothing that spoils the picture
        }

        @Override
        public void error(SAXParseException error) throws SAXException {
            throw error;
        }

        @Override
        public void fatalError(SAXParseException error) throws SAXException {
            throw error;
        }
    }
}
