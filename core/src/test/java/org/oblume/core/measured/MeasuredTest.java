package org.oblume.core.measured;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collection;
import java.util.Locale;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs the benchmarks of {@code core} and says what they measured: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
class MeasuredTest {

    @Test
    void computationIsMeasured() throws RunnerException {
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(".*Benchmark")
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run();
        assertThat(results).isNotEmpty();
        for (RunResult result : results) {
            String of = result.getParams().getParamsKeys().stream()
                    .map(key -> " " + key + " " + result.getParams().getParam(key))
                    .reduce("", String::concat);
            System.out.printf(
                    Locale.ROOT,
                    "MEASURED core %s%s: %.3f ± %.3f %s%n",
                    result.getPrimaryResult().getLabel(),
                    of,
                    result.getPrimaryResult().getScore(),
                    result.getPrimaryResult().getScoreError(),
                    result.getPrimaryResult().getScoreUnit());
        }
    }
}
