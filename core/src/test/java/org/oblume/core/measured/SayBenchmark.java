package org.oblume.core.measured;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Role;
import org.oblume.core.say.CommandParser;
import org.oblume.core.say.ParsedCommand;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A line that is called out in a scene of 40 heads, beside cutting it into words. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
@State(Scope.Thread)
public class SayBenchmark {

    private static final Pattern WORD = Pattern.compile("\\S+");

    /** How many clauses the line has, some 25 signs each. */
    @Param({"1", "4", "16"})
    private int clauses;

    private String line = "";
    private SceneRecord scene = Stage.outdoors().recording();
    private RecordedState state = Stage.outdoors().state();
    private final List<StockItem> stock = List.of(
            new StockItem("Quarter CTO", StockKind.CORRECTION, FilterEffect.of(42, 0.3, 0), 0, null, null, null),
            new StockItem("Half CTO", StockKind.CORRECTION, FilterEffect.of(81, 0.5, 0), 0, null, null, null));

    @Setup
    public void set() {
        Stage stage = Stage.outdoors().camera(0, -4);
        StringBuilder said = new StringBuilder();
        for (int i = 1; i <= 40; i++) {
            stage.head("head-" + i, Role.BACKGROUND, i, 3, 2).tie("head-" + i, new Level(50));
        }
        for (int i = 1; i <= clauses; i++) {
            said.append(i == 1 ? "" : ", ").append("head ").append(i).append(" down a third");
        }
        line = said.toString();
        scene = stage.recording();
        state = stage.state();
    }

    @Benchmark
    public ParsedCommand aLineIsUnderstood() {
        return CommandParser.read(line, scene, state, stock);
    }

    @Benchmark
    public long cuttingItIntoWords() {
        return WORD.matcher(line).results().count();
    }
}
