package org.oblume.core.plot;

import org.oblume.core.units.Duv;

/**
 * Tint that a light is dialled to, before its filters.
 *
 * @param duv −0.05 (magenta) to 0.05 (green)
 */
public record Tint(double duv) implements AttributeValue {

    public Tint {
        duv = new Duv(duv).value();
    }

    public static Tint parse(String text) {
        return new Tint(Duv.parse(text).value());
    }

    @Override
    public String say() {
        return (duv > 0 ? "+" : "") + Format.number(duv) + (duv > 0 ? " green" : duv < 0 ? " magenta" : "");
    }
}
