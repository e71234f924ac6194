package org.oblume.core.colour;

import java.util.HexFormat;

/**
 * The colour shown for a light, encoded sRGB.
 *
 * @param red 0 to 255
 * @param green 0 to 255
 * @param blue 0 to 255
 */
public record Swatch(int red, int green, int blue) {

    private static final int FULL = 255;
    private static final double GREY_CARD = 0.18;
    private static final double HALF = 0.5;

    /** Negative parts clipped to 0, scaled so that the largest is 1, then the sRGB curve. No light at all is black. */
    static Swatch ofLinear(double[] rgb) {
        double largest = Math.max(rgb[0], Math.max(rgb[1], rgb[2]));
        if (largest <= 0) {
            return new Swatch(0, 0, 0);
        }
        int[] out = new int[3];
        for (int i = 0; i < out.length; i++) {
            out[i] = (int) Math.round(FULL * Srgb.encode(Math.max(0, rgb[i]) / largest));
        }
        return new Swatch(out[0], out[1], out[2]);
    }

    /**
     * This light on a grey card, as a camera shows it that is exposed for the card: 18 % at its stop (model; no film curve).
     *
     * @param overStops above the camera's stop
     */
    public Swatch onGreyCard(double overStops) {
        double scale = GREY_CARD * Math.pow(2, overStops);
        return new Swatch(shown(red, scale), shown(green, scale), shown(blue, scale));
    }

    private static int shown(int encoded, double scale) {
        return (int) Math.round(FULL * Srgb.encode(Math.min(1, Srgb.decode(encoded / (double) FULL) * scale)));
    }

    /**
     * A surface as a picture shows it (model, a view): as it is up to half of full, above that bent towards full, then the sRGB curve.
     *
     * @param rgb linear light on it
     * @param scale to what is shown, 1 is full: its reflectance over what gives an 18 % card 0.18
     */
    public static Swatch shown(double[] rgb, double scale) {
        int[] out = new int[3];
        for (int i = 0; i < out.length; i++) {
            double x = Math.max(0, rgb[i] * scale);
            double bent = x <= HALF ? x : 1 - HALF * Math.exp(-(x - HALF) / HALF);
            out[i] = (int) Math.round(FULL * Srgb.encode(bent));
        }
        return new Swatch(out[0], out[1], out[2]);
    }

    /** {@code #rrggbb}. */
    public String hex() {
        return "#" + HexFormat.of().formatHex(new byte[] {(byte) red, (byte) green, (byte) blue});
    }
}
