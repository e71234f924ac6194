package org.oblume.core.plot;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers in sentences. */
final class Format {

    private static final int DECIMALS = 4;

    private Format() {}

    /** At most four decimals, no trailing zeros. */
    static String number(double value) {
        BigDecimal rounded = BigDecimal.valueOf(value)
                .setScale(DECIMALS, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return (rounded.signum() == 0 ? "0" : rounded.toPlainString()).replace('-', '−');
    }
}
