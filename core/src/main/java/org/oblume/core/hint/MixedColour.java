package org.oblume.core.hint;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.LightMix;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.SourceColour;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Phrase;

/** White lights of different colour on one face. */
final class MixedColour implements HintRule {

    /** A source counts for the colour at the mark from this part of the light on both cheeks on. */
    private static final double LEAST_PART = 0.1;

    private static final double KELVIN = 200;
    private static final double DUV = 0.006;

    @Override
    public void look(HintContext shot) {
        shot.light().marks().forEach(mark -> look(shot, mark));
    }

    private record White(String name, ColourReading white) {}

    private static void look(HintContext shot, MarkLight mark) {
        List<White> whites = whites(shot, mark);
        if (whites.size() < 2) {
            return;
        }
        double kelvin = spread(whites, w -> w.white.kelvin());
        double duv = spread(whites, w -> w.white.duv());
        if (kelvin > KELVIN || duv > DUV) {
            Placement person = shot.placement(mark.key());
            shot.report(
                    HintKind.MIXED_COLOUR,
                    person,
                    false,
                    Phrase.of("Mixed colour on %s".formatted(person.name())),
                    Phrase.of("%s differ by %d K and Duv %s. Gel or dial one to the other, or leave it and say so."
                            .formatted(
                                    whites.stream().map(White::name).collect(Collectors.joining(" and ")),
                                    Math.round(kelvin),
                                    Numbers.fixed(duv, 3))),
                    null);
        }
    }

    /** The white lights that count on a face. */
    private static List<White> whites(HintContext shot, MarkLight mark) {
        double all = mark.lit().lux() + mark.shadow().lux();
        return shot.light().lights().stream()
                .filter(source -> mark.cheeksLux(source.key()) > LEAST_PART * all)
                .flatMap(source -> SourceColour.leaving(source, shot.state()).stream()
                        .map(LightMix::reading)
                        .filter(ColourReading::isWhite)
                        .map(white -> new White(source.name(), white)))
                .toList();
    }

    private static double spread(List<White> whites, ToDoubleFunction<White> of) {
        DoubleSummaryStatistics all = whites.stream().mapToDouble(of).summaryStatistics();
        return all.getMax() - all.getMin();
    }
}
