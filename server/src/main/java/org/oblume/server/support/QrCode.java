package org.oblume.server.support;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * An address to be scanned.
 *
 * @param size modules on a side, 21 to 177, without the light margin of 4 modules that scanners ask for
 * @param path of the dark modules, as an SVG's, a unit for a module
 */
public record QrCode(int size, String path) {

    /** Dark modules side by side in a row, from {@code x} up to, not including, {@code end}. */
    public record Run(int x, int end, int y) {}

    /** @throws IllegalArgumentException when it is longer than a code can hold, about 2,300 signs */
    public static QrCode of(String address) {
        StringBuilder path = new StringBuilder();
        BitMatrix modules = modules(address);
        for (Run run : runs(modules)) {
            path.append("M%d %dh%dv1h-%dz".formatted(run.x(), run.y(), run.end() - run.x(), run.end() - run.x()));
        }
        return new QrCode(modules.getWidth(), path.toString());
    }

    public static List<Run> runs(BitMatrix modules) {
        List<Run> runs = new ArrayList<>();
        for (int y = 0; y < modules.getHeight(); y++) {
            int x = 0;
            while (x < modules.getWidth()) {
                int end = x;
                while (end < modules.getWidth() && modules.get(end, y)) {
                    end++;
                }
                if (end > x) {
                    runs.add(new Run(x, end, y));
                }
                x = end + 1;
            }
        }
        return runs;
    }

    public static BitMatrix modules(String address) {
        try {
            return new QRCodeWriter()
                    .encode(
                            address,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.MARGIN, 0, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M));
        } catch (WriterException tooLong) {
            throw new IllegalArgumentException("The address is too long for a QR code: " + address, tooLong);
        }
    }
}
