package org.oblume.server.carry;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.moves.Department;
import org.oblume.core.moves.Job;
import org.oblume.core.units.Phrase;

/**
 * What to do between two states.
 *
 * @param minutes on the clock until the last is done (estimate)
 * @param tempo the crew's own table that the times come from
 */
public record MovesView(
        ComparedStates.StateHead from,
        ComparedStates.StateHead to,
        double minutes,
        List<Spent> departments,
        List<MoveStep> moves,
        JobTimesView tempo) {

    /**
     * @param minutes on the clock until it is done
     * @param work the sum of its moves
     */
    public record Spent(Department department, double minutes, double work) {}

    public record MoveStep(
            String key,
            Department department,
            Job job,
            @Nullable String placement,
            Phrase words,
            double minutes,
            int people,
            double startMin,
            List<String> cautions,
            List<String> after,
            @Nullable TickedOff done) {}

    /** @param changedSince whether the move reads differently now than when it was ticked off */
    public record TickedOff(String author, Instant at, boolean changedSince) {}

    public record JobTimesView(List<JobTime> jobs, List<Crew> crews) {}

    public record JobTime(Job job, String label, double minutes, double usual) {}

    public record Crew(Department department, int people, int usual) {}
}
