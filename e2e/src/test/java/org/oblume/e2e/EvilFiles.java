package org.oblume.e2e;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.zip.CRC32;

/** Files that somebody sends who means harm, or took the wrong one. */
final class EvilFiles {

    /** They are harmless once they are served in a sandbox, or as what they are. */
    static final Set<String> MAY_BE_KEPT = Set.of("SVG with a script");

    private static final String SVG = "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%s\" height=\"10\">%s</svg>";
    private static final String DOCTYPE =
            "<?xml version=\"1.0\"?><!DOCTYPE svg [%s]>" + SVG.formatted("10", "<text>&a;</text>");

    private EvilFiles() {}

    static Map<String, byte[]> all() {
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("nothing", new byte[0]);
        files.put("PNG of 60,000 by 60,000", png(60_000));
        files.put("PNG of no size", png(0));
        files.put("PNG of negative size", png(-1));
        files.put("GIF of 65,535 by 65,535", new byte[] {'G', 'I', 'F', '8', '9', 'a', -1, -1, -1, -1, 0, 0, 0});
        files.put("JPEG that ends at once", new byte[] {-1, -40, -1, -32, 0, 16});
        files.put("JPEG whose EXIF is longer than it", new byte[] {-1, -40, -1, -31, -1, -1, 'E', 'x', 'i', 'f', 0, 0});
        files.put("TIFF whose offset is behind its end", new byte[] {'M', 'M', 0, 42, 127, -1, -1, -1});
        files.put("zip", new byte[] {'P', 'K', 3, 4, 20, 0, 0, 0, 8, 0});
        text(files, "HTML", "<!doctype html><script>alert(1)</script>");
        text(files, "SVG of infinite size", SVG.formatted("Infinity", ""));
        text(files, "SVG of 1e308", SVG.formatted("1e308", ""));
        text(files, "SVG of NaN", SVG.formatted("NaN", ""));
        text(files, "SVG of negative size", SVG.formatted("-5", ""));
        text(files, "SVG that is not closed", "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"5\"");
        text(files, "SVG 5,000 deep", SVG.formatted("10", "<g>".repeat(5000) + "</g>".repeat(5000)));
        text(files, "SVG with an entity of a file", DOCTYPE.formatted("<!ENTITY a SYSTEM \"file:///etc/hostname\">"));
        text(files, "SVG with entities of entities", DOCTYPE.formatted(laughs()));
        text(
                files,
                "SVG with a script",
                SVG.formatted("10", "<script>alert(1)</script><a href=\"javascript:alert(1)\"><text>x</text></a>"));
        text(files, "LM-63 of a billion angles", ies("1 1000 1 1000000000 1000000000 1 1 0 0 0"));
        text(files, "LM-63 of negative counts", ies("1 1000 1 -3 -1 1 1 0 0 0"));
        text(files, "LM-63 of what is no number", ies("1 NaN 1 2 1 1 1 0 0 0\n1 1 1e400\n0 0x1p3\n0\n1 1"));
        text(files, "LM-63 of digits", ies("1".repeat(1_000_000)));
        text(files, "table whose quote is open", "\"" + "a,b\n".repeat(100_000));
        text(files, "table of commas", ",".repeat(1_000_000));
        text(files, "table of nulls", "\0".repeat(100_000));
        byte[] large = new byte[20 << 20];
        large[0] = -1;
        large[1] = -40;
        files.put("20 MB", large);
        return files;
    }

    private static void text(Map<String, byte[]> files, String name, String text) {
        files.put(name, text.getBytes(StandardCharsets.UTF_8));
    }

    private static String laughs() {
        StringBuilder entities = new StringBuilder("<!ENTITY l0 \"ha\">");
        for (int i = 1; i < 12; i++) {
            entities.append(
                    "<!ENTITY l%d \"%s\">".formatted(i, "&l%d;".formatted(i - 1).repeat(10)));
        }
        return entities.append("<!ENTITY a \"&l11;\">").toString();
    }

    private static String ies(String rest) {
        return "IESNA:LM-63-2002\nTILT=NONE\n" + rest;
    }

    /** A picture whose head promises that size, and that has nothing in it. */
    private static byte[] png(int size) {
        try {
            ByteArrayOutputStream head = new ByteArrayOutputStream();
            DataOutputStream ihdr = new DataOutputStream(head);
            ihdr.writeBytes("IHDR");
            ihdr.writeInt(size);
            ihdr.writeInt(size);
            ihdr.write(new byte[] {8, 6, 0, 0, 0});
            CRC32 check = new CRC32();
            check.update(head.toByteArray());
            ByteArrayOutputStream file = new ByteArrayOutputStream();
            DataOutputStream out = new DataOutputStream(file);
            out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
            out.writeInt(head.size() - 4);
            out.write(head.toByteArray());
            out.writeInt((int) check.getValue());
            return file.toByteArray();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }
}
