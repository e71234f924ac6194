package org.oblume.server.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.CutList;
import org.oblume.core.rigging.FlatCloth;
import org.oblume.core.rigging.StandInWind;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Stands in wind, cloths that are pulled flat, gel that is cut. Estimates: a qualified rigger decides. */
@ForAnyone
@Asks
@RestController
@RequestMapping("/api/bench")
class RiggingController {

    record StandAsked(
            @Nullable Double headKg,
            @Nullable Double offsetM,
            @Nullable Double standKg,
            @Nullable Double footRadiusM,
            @Nullable Double heightM,
            @Nullable Double sailM2,
            StandInWind.@Nullable Shape shape,
            @Nullable Double windMs,
            @Nullable Double bagKg,
            @Nullable Double factor) {}

    @PostMapping("/stand")
    StandInWind stand(@RequestBody StandAsked asked) {
        return StandInWind.of(
                new StandInWind.Standing(
                        RequestValues.number("headKg", asked.headKg),
                        RequestValues.number("offsetM", asked.offsetM, 0),
                        RequestValues.number("standKg", asked.standKg),
                        RequestValues.number("footRadiusM", asked.footRadiusM, StandInWind.DEFAULT_FOOT_RADIUS_M),
                        RequestValues.number("heightM", asked.heightM),
                        RequestValues.number("sailM2", asked.sailM2),
                        RequestValues.required("shape", asked.shape)),
                RequestValues.number("windMs", asked.windMs, StandInWind.INDOORS_MS),
                RequestValues.number("bagKg", asked.bagKg, StandInWind.DEFAULT_BAG_KG),
                RequestValues.number("factor", asked.factor, StandInWind.DEFAULT_FACTOR));
    }

    record ClothAsked(
            @Nullable Double spanM,
            @Nullable Double edgeM,
            @Nullable Double weightKgM2,
            @Nullable Double sagM,
            @Nullable Double points) {}

    @PostMapping("/cloth")
    FlatCloth cloth(@RequestBody ClothAsked asked) {
        return FlatCloth.of(
                RequestValues.number("spanM", asked.spanM),
                RequestValues.number("edgeM", asked.edgeM),
                RequestValues.number("weightKgM2", asked.weightKgM2),
                RequestValues.number("sagM", asked.sagM),
                RequestValues.whole("points", asked.points));
    }

    record SheetAsked(@Nullable Double widthM, @Nullable Double heightM) {

        CutList.Sheet sheet() {
            return new CutList.Sheet(RequestValues.number("widthM", widthM), RequestValues.number("heightM", heightM));
        }
    }

    record PieceAsked(
            @Nullable String name, @Nullable Double widthM, @Nullable Double heightM, @Nullable Double count) {

        CutList.Wanted wanted() {
            return new CutList.Wanted(
                    RequestValues.required("name", name),
                    RequestValues.number("widthM", widthM),
                    RequestValues.number("heightM", heightM),
                    RequestValues.whole("count", count));
        }
    }

    record CutAsked(
            @Nullable SheetAsked sheet, @Nullable List<@Nullable PieceAsked> pieces, @Nullable Double marginM) {}

    /**
     * By the names of the pieces.
     *
     * @param pieces how they lie
     */
    record CutFound(Map<String, Integer> perSheet, Map<String, Integer> sheets, List<CutList.CutPiece> pieces) {}

    @PostMapping("/cut")
    CutFound cut(@RequestBody CutAsked asked) {
        CutList list = CutList.of(
                asked.sheet == null ? CutList.SHEET : asked.sheet.sheet(),
                RequestValues.list("pieces", asked.pieces).stream()
                        .map(PieceAsked::wanted)
                        .toList(),
                RequestValues.number("marginM", asked.marginM, CutList.DEFAULT_MARGIN_M));
        Map<String, Integer> perSheet = new LinkedHashMap<>();
        Map<String, Integer> sheets = new LinkedHashMap<>();
        list.pieces().forEach(piece -> {
            perSheet.put(piece.name(), piece.perSheet());
            sheets.put(piece.name(), piece.sheets());
        });
        return new CutFound(perSheet, sheets, list.pieces());
    }
}
