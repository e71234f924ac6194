package org.oblume.server.metering;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.WhiteMatch;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Phrase;

/**
 * What was read of a shot, or of a rebuild of it.
 *
 * @param run id of the rebuild, or null
 * @param marks on set; the first is the one that is meant when none is named
 * @param lights that are on, each with what is predicted of it at the first mark
 * @param readings the newest first
 * @param wanted readings without which a rebuild could not be proved
 * @param units of the production that were measured
 */
public record MeterView(
        long shotId,
        Slate slate,
        String description,
        @Nullable Long run,
        List<ReadMark> marks,
        List<ExpectedReading> lights,
        List<ReadingView> readings,
        List<WantedReading> wanted,
        List<UnitPath> units) {

    public record ReadMark(String key, String name) {}

    /**
     * A reading that is still to be made.
     *
     * @param mark name of the mark
     * @param light name of the light that is on alone, or null for all of them
     */
    public record WantedReading(String mark, @Nullable String light) {}

    /**
     * @param predicted towards the light at the first mark; null when it cannot be told
     * @param kelvin predicted
     * @param duv predicted
     * @param kStops of the newest reading that calibrates it; null when none does
     * @param readHere whether it was read alone in this shot or rebuild
     */
    public record ExpectedReading(
            String key,
            String name,
            Role role,
            @Nullable Phrase predicted,
            @Nullable Double kelvin,
            @Nullable Double duv,
            @Nullable Double kStops,
            boolean readHere) {}

    /**
     * @param mark name of the mark
     * @param light name of the light that was on alone, or null for all
     * @param words the reading
     * @param beside what it says against the prediction
     */
    public record ReadingView(
            long id,
            String mark,
            @Nullable String light,
            Reading reading,
            Phrase words,
            List<Beside> beside,
            @Nullable Solo solo,
            String author,
            Instant at) {}

    /**
     * @param stops read less predicted
     * @param overStops read above the camera's stop; null until its exposure is recorded
     */
    public record Beside(String what, Phrase predicted, double stops, @Nullable Double overStops) {}

    /**
     * A light read alone beside its prediction.
     *
     * @param kStops measured over predicted, by which later predictions are scaled; null without light read
     * @param mired read less predicted
     * @param doubtful whether something cannot be as recorded
     * @param asks whether it corrects nothing until somebody says that it is so
     * @param confirmedBy who said that it is so, or null
     * @param likely what explains it, the likeliest first
     */
    public record Solo(
            @Nullable Phrase predicted,
            @Nullable Double kStops,
            @Nullable Double mired,
            @Nullable Double duv,
            boolean doubtful,
            boolean asks,
            @Nullable String confirmedBy,
            List<String> likely) {}

    /**
     * What was understood of a line, before it is kept.
     *
     * @param ratios of what is read to what is known at the mark, in words
     * @param doubt a question back, or null
     */
    public record ParsedReading(
            String mark,
            @Nullable String light,
            Phrase words,
            List<Beside> beside,
            @Nullable Solo solo,
            List<String> ratios,
            @Nullable String doubt) {}

    /**
     * @param path what the light goes through
     * @param points by what was dialled
     */
    public record UnitPath(String unit, String path, List<MeasuredDial> points) {}

    public record MeasuredDial(double dialledKelvin, double dialledDuv, double measuredKelvin, double measuredDuv) {}

    /** @param nominal names of lights of which nothing was measured: their stock figures were taken */
    public record WhiteMatchView(
            String reference, double kelvin, double duv, List<WhiteMatchWay> ways, List<String> nominal) {}

    public record WhiteMatchWay(
            WhiteMatch.Way way,
            String label,
            List<String> words,
            List<ChangeToTry> changes,
            double residualMired,
            double residualDuv) {}

    public record ChangeToTry(String placement, Attribute attribute, AttributeValue value) {}
}
