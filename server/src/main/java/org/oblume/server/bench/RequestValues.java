package org.oblume.server.bench;

import java.util.List;
import java.util.function.DoubleFunction;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

/** Takes values out of a request; a refusal names the JSON field at fault. */
final class RequestValues {

    /** Beyond this, squares and powers would leave what can be reckoned with. */
    private static final double LARGEST = 1e15;

    private RequestValues() {}

    static <T> T required(String field, @Nullable T value) {
        if (value == null) {
            throw new Refusal(field, "“%s” is missing: give it too.".formatted(field));
        }
        return value;
    }

    /** A number that has to be there. */
    static double number(String field, @Nullable Double value) {
        double number = Checks.finite(field, "“%s”".formatted(field), required(field, value));
        if (Math.abs(number) > LARGEST) {
            throw new Refusal(
                    field, "“%s” is larger than anything on a set: look at the figure again.".formatted(field));
        }
        return number;
    }

    static double number(String field, @Nullable Double value, double otherwise) {
        return value == null ? otherwise : number(field, value);
    }

    /** A whole number, 0 or more. */
    static int whole(String field, @Nullable Double value) {
        double number = number(field, value);
        if (number < 0 || number != Math.rint(number)) {
            throw new Refusal(field, "“%s” has to be a whole number, 0 or more.".formatted(field));
        }
        return (int) Math.min(Integer.MAX_VALUE, number);
    }

    /** A list that has to be there, without gaps in it. */
    static <T> List<T> list(String field, @Nullable List<@Nullable T> items) {
        return required(field, items).stream()
                .map(item -> {
                    if (item == null) {
                        throw new Refusal(
                                field, "“%s” has an empty place in it: fill it or leave it out.".formatted(field));
                    }
                    return item;
                })
                .toList();
    }

    /** A value of a type that checks itself. */
    static <T> T value(String field, @Nullable Double value, DoubleFunction<T> of) {
        double number = number(field, value);
        try {
            return of.apply(number);
        } catch (Refusal refusal) {
            throw refusal.at(field);
        }
    }

    static Kelvin kelvin(String field, @Nullable Double value) {
        return value(field, value, Kelvin::of);
    }

    /** A white by its two fields; its tint may be left out. */
    static WhitePoint white(String kelvinField, @Nullable Double kelvin, String duvField, @Nullable Double duv) {
        return WhitePoint.of(
                kelvin(kelvinField, kelvin), value(duvField, duv == null ? Double.valueOf(0) : duv, Duv::of));
    }
}
