package org.oblume.core.metering;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.ContrastRatio;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.units.Numbers;

/** Ratios of what was read at a mark: each new figure to each that is known there already. */
public final class ReadRatios {

    private static final String LIT = "lit";
    private static final String SHADOW = "shadow";
    private static final String ALONE = " alone";
    private static final int MOST = 5;
    private static final int TENTHS = 10;

    private ReadRatios() {}

    /**
     * @param now what is being read
     * @param before of the same shot or rebuild, the oldest first; the newest figure of a place holds
     * @param name of a light by its key
     * @param curve by which signals on the monitor tell light
     * @return in words, at most five, each the brighter to the darker: {@code lit to shadow 4:1, 2.0 stop; by key alone to fill alone 3:1}
     */
    public static List<String> of(Reading now, List<Reading> before, Function<String, String> name, SignalCurve curve) {
        Map<String, Double> known = new LinkedHashMap<>();
        Map<String, Double> knownSignals = new LinkedHashMap<>();
        before.stream().filter(r -> r.mark().equals(now.mark())).forEach(r -> {
            known.putAll(figures(r, name));
            knownSignals.putAll(signals(r, curve));
        });
        List<String> said = new ArrayList<>();
        said.addAll(pairs(figures(now, name), known, ""));
        said.addAll(pairs(signals(now, curve), knownSignals, " on the monitor (%s)".formatted(curve.label())));
        return said.stream().limit(MOST).toList();
    }

    private record Figure(String where, double light) {}

    private static List<String> pairs(Map<String, Double> now, Map<String, Double> known, String how) {
        Map<String, Double> all = new LinkedHashMap<>(now);
        known.forEach(all::putIfAbsent);
        List<Figure> figures = all.entrySet().stream()
                .map(e -> new Figure(e.getKey(), e.getValue()))
                .toList();
        List<String> said = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            for (Figure other : figures.subList(i + 1, figures.size())) {
                Figure one = figures.get(i);
                boolean inOrder = one.light >= other.light;
                said.add(say(inOrder ? one : other, inOrder ? other : one, how));
            }
        }
        return said;
    }

    private static String say(Figure brighter, Figure darker, String how) {
        String one = brighter.where;
        String other = darker.where;
        ContrastRatio ratio = ContrastRatio.fromLux(brighter.light, darker.light);
        String said = "%s to %s%s %s, %s stop"
                .formatted(one, other, how, print(ratio.ratio()), ratio.stops().inTenths());
        if (one.equals(LIT) && other.equals(SHADOW) && ratio.ratio() > 1) {
            return "%s; by key alone to fill alone %s".formatted(said, print(ratio.ratio() - 1));
        }
        return one.endsWith(ALONE) && other.endsWith(ALONE)
                ? "%s; with both on, lit to shadow %s".formatted(said, print(ratio.ratio() + 1))
                : said;
    }

    private static String print(double ratio) {
        return "%s:1".formatted(Numbers.plain(Math.round(TENTHS * ratio) / (double) TENTHS));
    }

    private static Map<String, Double> figures(Reading reading, Function<String, String> name) {
        Map<String, Double> lux = new LinkedHashMap<>();
        String alone = reading.alone();
        put(lux, alone == null ? LIT : name.apply(alone) + ALONE, reading.lux());
        put(lux, SHADOW, reading.shadowLux());
        put(lux, MeterPlace.BACKGROUND.label(), reading.backgroundLux());
        reading.places().forEach(p -> put(lux, p.label(), p.lux()));
        return lux;
    }

    private static Map<String, Double> signals(Reading reading, SignalCurve curve) {
        Map<String, Double> light = new LinkedHashMap<>();
        Signals read = reading.signals();
        put(light, LIT, light(read.lit(), curve));
        put(light, SHADOW, light(read.shadow(), curve));
        put(light, MeterPlace.BACKGROUND.label(), light(read.background(), curve));
        reading.places().forEach(p -> put(light, p.label(), light(p.percent(), curve)));
        return light;
    }

    private static @Nullable Double light(@Nullable Double percent, SignalCurve curve) {
        return percent == null ? null : Double.valueOf(curve.light(percent));
    }

    private static void put(Map<String, Double> into, String where, @Nullable Double figure) {
        if (figure != null && figure > 0) {
            into.put(where, figure);
        }
    }
}
