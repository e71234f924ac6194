package org.oblume.server.bench;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.colour.DialCorrection;
import org.oblume.core.colour.LightColour;
import org.oblume.core.colour.LightMix;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.filter.Correction;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.Prescription;
import org.oblume.core.filter.Sheets;
import org.oblume.core.units.TStop;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Colour of light: behind filters, dialled, corrected from a stock, mixed. */
@ForAnyone
@Asks
@RestController
@RequestMapping("/api/bench")
class ColourController {

    record FilterPart(@Nullable Double miredShift, @Nullable Double stops, @Nullable Double duvShift) {

        FilterEffect effect() {
            return FilterEffect.of(
                    RequestValues.number("miredShift", miredShift),
                    RequestValues.number("stops", stops),
                    RequestValues.number("duvShift", duvShift, 0));
        }
    }

    record BehindFilters(
            @Nullable Double sourceKelvin, @Nullable Double sourceDuv, @Nullable List<@Nullable FilterPart> filters) {}

    /**
     * @param duv of the result
     * @param stops lost
     * @param transmission part that is left
     * @param x CIE 1931
     */
    record Behind(double kelvin, double mired, double duv, double stops, double transmission, double x, double y) {}

    @PostMapping("/colour-temperature")
    Behind behindFilters(@RequestBody BehindFilters asked) {
        WhitePoint source = RequestValues.white("sourceKelvin", asked.sourceKelvin(), "sourceDuv", asked.sourceDuv());
        FilterEffect stack = FilterEffect.sum(RequestValues.list("filters", asked.filters()).stream()
                .map(FilterPart::effect)
                .toList());
        WhitePoint behind = stack.behind(source);
        return new Behind(
                behind.kelvin().value(),
                behind.kelvin().mired(),
                behind.duv().value(),
                stack.stops().value(),
                stack.stops().transmission(),
                behind.x(),
                behind.y());
    }

    record DialAsked(
            @Nullable Double dialledKelvin,
            @Nullable Double dialledDuv,
            @Nullable Double measuredKelvin,
            @Nullable Double measuredDuv,
            @Nullable Double targetKelvin,
            @Nullable Double targetDuv,
            @Nullable Double minKelvin,
            @Nullable Double maxKelvin) {}

    /** @param pathMired what lies between what is dialled and what is measured, + is warmer */
    record DialAnswer(double dialKelvin, double dialDuv, boolean reachable, double residualMired, double pathMired) {}

    @PostMapping("/dial")
    DialAnswer dial(@RequestBody DialAsked asked) {
        DialCorrection dial = DialCorrection.of(
                RequestValues.white("dialledKelvin", asked.dialledKelvin(), "dialledDuv", asked.dialledDuv()),
                RequestValues.white("measuredKelvin", asked.measuredKelvin(), "measuredDuv", asked.measuredDuv()),
                RequestValues.white("targetKelvin", asked.targetKelvin(), "targetDuv", asked.targetDuv()),
                RequestValues.kelvin("minKelvin", asked.minKelvin()),
                RequestValues.kelvin("maxKelvin", asked.maxKelvin()));
        return new DialAnswer(
                dial.dialKelvin(),
                dial.dialDuv(),
                dial.reachable(),
                dial.residual().value(),
                dial.path().value());
    }

    record StockPart(
            @Nullable String name,
            @Nullable Double miredShift,
            @Nullable Double stops,
            @Nullable Double duvShift,
            @Nullable Double sheets) {

        Sheets toSheets() {
            return new Sheets(
                    RequestValues.required("name", name),
                    FilterEffect.of(
                            RequestValues.number("miredShift", miredShift),
                            RequestValues.number("stops", stops),
                            RequestValues.number("duvShift", duvShift)),
                    RequestValues.whole("sheets", sheets));
        }
    }

    record CorrectionRequest(
            @Nullable Double sourceKelvin,
            @Nullable Double sourceDuv,
            @Nullable Double sourceTStop,
            @Nullable Double targetKelvin,
            @Nullable Double targetDuv,
            @Nullable Double targetTStop,
            @Nullable List<@Nullable StockPart> stock,
            @Nullable Double maxFilters,
            @Nullable Boolean dimmable,
            @Nullable Double minLevelOutput,
            @Nullable Boolean sensible) {}

    /**
     * @param reason in words
     * @param label the stop it reads, in thirds
     */
    record Prescribed(
            List<String> filters,
            double kelvin,
            double duv,
            double tStop,
            double output,
            double deltaMired,
            double deltaDuv,
            double deltaStops,
            double cost,
            String label,
            String reason) {

        static Prescribed of(Prescription p) {
            return new Prescribed(
                    p.filters(),
                    p.kelvin(),
                    p.duv(),
                    p.tStop().number(),
                    p.output(),
                    p.deltaMired().value(),
                    p.deltaDuv(),
                    p.deltaStops().value(),
                    p.cost(),
                    p.tStop().label(),
                    p.reason());
        }
    }

    /** @param startStops of the bare light above the target */
    record Prescriptions(List<Prescribed> prescriptions, double startStops) {}

    @PostMapping("/correction")
    Prescriptions correction(@RequestBody CorrectionRequest asked) {
        Correction.Dimming lowest = new Correction.Dimming(RequestValues.number(
                "minLevelOutput", asked.minLevelOutput(), Correction.Dimming.DEFAULT_LOWEST_OUTPUT));
        Correction correction = new Correction(
                RequestValues.white("sourceKelvin", asked.sourceKelvin(), "sourceDuv", asked.sourceDuv()),
                RequestValues.value("sourceTStop", asked.sourceTStop(), TStop::of),
                RequestValues.white("targetKelvin", asked.targetKelvin(), "targetDuv", asked.targetDuv()),
                RequestValues.value("targetTStop", asked.targetTStop(), TStop::of),
                Boolean.TRUE.equals(asked.dimmable()) ? lowest : Correction.Dimming.NONE);
        int most = asked.maxFilters() == null
                ? Correction.DEFAULT_FILTERS
                : RequestValues.whole("maxFilters", asked.maxFilters());
        List<Sheets> stock = RequestValues.list("stock", asked.stock()).stream()
                .map(StockPart::toSheets)
                .toList();
        List<Prescription> found = Boolean.TRUE.equals(asked.sensible())
                ? correction.prescribeSensibly(stock, most)
                : correction.prescribe(stock, most);
        return new Prescriptions(
                found.stream().map(Prescribed::of).toList(),
                correction.tooBright().value());
    }

    record LightPart(@Nullable Double lux, @Nullable Double kelvin, @Nullable Double duv) {

        LightMix.Part part() {
            return new LightMix.Part(
                    RequestValues.number("lux", lux),
                    LightColour.of(RequestValues.white("kelvin", kelvin, "duv", duv)));
        }
    }

    record Lights(
            @Nullable List<@Nullable LightPart> lights,
            @Nullable Double whiteBalanceKelvin,
            @Nullable Double whiteBalanceDuv) {}

    record Mixed(double lux, double kelvin, double duv, String swatch) {}

    @PostMapping("/mix")
    Mixed mix(@RequestBody Lights asked) {
        WhitePoint balance = RequestValues.white(
                "whiteBalanceKelvin", asked.whiteBalanceKelvin(), "whiteBalanceDuv", asked.whiteBalanceDuv());
        LightMix mix = LightMix.of(RequestValues.list("lights", asked.lights()).stream()
                .map(LightPart::part)
                .toList());
        return new Mixed(
                mix.lux(),
                mix.reading().kelvin(),
                mix.reading().duv(),
                mix.seenBy(CameraWhite.of(balance)).hex());
    }

    record WhitePart(@Nullable Double kelvin, @Nullable Double duv) {}

    record Whites(
            @Nullable List<@Nullable WhitePart> whites,
            @Nullable Double whiteBalanceKelvin,
            @Nullable Double whiteBalanceDuv) {}

    /** @param swatches one for each white, "#rrggbb" */
    record Seen(List<String> swatches) {}

    /** How several whites look to one camera, for drawing. */
    @PostMapping("/seen")
    Seen seen(@RequestBody Whites asked) {
        CameraWhite camera = CameraWhite.of(RequestValues.white(
                "whiteBalanceKelvin", asked.whiteBalanceKelvin(), "whiteBalanceDuv", asked.whiteBalanceDuv()));
        return new Seen(RequestValues.list("whites", asked.whites()).stream()
                .map(w -> camera.swatch(LightColour.of(RequestValues.white("kelvin", w.kelvin(), "duv", w.duv())))
                        .hex())
                .toList());
    }
}
