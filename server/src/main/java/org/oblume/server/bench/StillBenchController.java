package org.oblume.server.bench;

import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.ContrastRatio;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.still.Signal;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.oblume.server.still.StillPicture;
import org.oblume.server.still.WholePng;
import org.oblume.server.support.LargestBody;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What is read off a small still that is sent along. */
@ForAnyone
@Asks
@LargestBody(kb = 512)
@RestController
class StillBenchController {

    private static final int MOST_ACROSS = 256;

    record StillSpot(@Nullable String name, @Nullable Double x, @Nullable Double y) {}

    record StillAsked(
            @Nullable String png,
            @Nullable Boolean videoRange,
            @Nullable List<@Nullable StillSpot> points,
            @Nullable ShippedCurve curve,
            @Nullable String lit,
            @Nullable String shadow) {}

    record SpotRead(String name, double percent) {}

    record StillAnswer(List<SpotRead> points, double ratio, double stops, double clippedShare, double blackShare) {}

    @PostMapping("/api/bench/still")
    StillAnswer still(@RequestBody StillAsked asked) {
        ShippedCurve curve = RequestValues.required("curve", asked.curve());
        byte[] png = png(RequestValues.required("png", asked.png()));
        Signal signal = StillPicture.open(png, 1, picture -> picture.signal(Boolean.TRUE.equals(asked.videoRange())));
        List<SpotRead> points = new ArrayList<>();
        for (StillSpot spot : RequestValues.list("points", asked.points())) {
            points.add(new SpotRead(
                    RequestValues.required("name", spot.name()),
                    signal.percent(RequestValues.number("x", spot.x()), RequestValues.number("y", spot.y()))));
        }
        double lit = percent("lit", asked.lit(), points);
        double shadow = percent("shadow", asked.shadow(), points);
        ContrastRatio ratio = ContrastRatio.fromSignal(lit, shadow, curve);
        return new StillAnswer(
                points, ratio.ratio(), ratio.stops().value(), signal.clippedShare(), signal.blackShare());
    }

    private static byte[] png(String base64) {
        byte[] png;
        try {
            png = Base64.getDecoder().decode(base64);
        } catch (IllegalArgumentException noBase64) {
            throw new Refusal("png", "This is no base64: send the bytes of a PNG in it.");
        }
        WholePng.Size size = WholePng.of(png);
        if (size.width() > MOST_ACROSS || size.height() > MOST_ACROSS) {
            throw new Refusal(
                    "png",
                    "This picture is %d by %d dots: %d by %d are the most here."
                            .formatted(size.width(), size.height(), MOST_ACROSS, MOST_ACROSS));
        }
        return png;
    }

    private static double percent(String field, @Nullable String name, List<SpotRead> points) {
        String wanted = RequestValues.required(field, name);
        return points.stream()
                .filter(p -> p.name().equals(wanted))
                .findFirst()
                .orElseThrow(
                        () -> new Refusal(field, "There is no point called “%s”: name one of them.".formatted(wanted)))
                .percent();
    }
}
