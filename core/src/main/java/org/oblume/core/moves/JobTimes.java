package org.oblume.core.moves;

import java.util.EnumMap;
import java.util.Map;
import org.oblume.core.units.Checks;

/**
 * How fast a crew is: a table that it changes to its own measure. An estimate, and a model: a job takes as long whoever does it.
 *
 * @param minutes of each kind of work, 0 to 480; one that is left out takes its usual time
 * @param people of each department, 1 to 50; one that is left out has its usual number
 */
public record JobTimes(Map<Job, Double> minutes, Map<Department, Integer> people) {

    private static final double LONGEST_MIN = 480;
    private static final int MOST_PEOPLE = 50;
    public static final JobTimes USUAL = new JobTimes(Map.of(), Map.of());

    public JobTimes {
        EnumMap<Job, Double> time = new EnumMap<>(Job.class);
        for (Job job : Job.values()) {
            time.put(job, minutes.getOrDefault(job, job.usualMinutes()));
        }
        EnumMap<Department, Integer> crew = new EnumMap<>(Department.class);
        for (Department department : Department.values()) {
            crew.put(department, people.getOrDefault(department, department.usualPeople()));
        }
        time.forEach((job, min) ->
                Checks.within(job.name(), "The time to %s".formatted(job.label()), min, 0, LONGEST_MIN, " min"));
        crew.forEach(
                (who, n) -> Checks.within(who.name(), "People of %s".formatted(who.label()), n, 1, MOST_PEOPLE, ""));
        minutes = Map.copyOf(time);
        people = Map.copyOf(crew);
    }

    /** Minutes that one of a kind of work takes. */
    public double of(Job job) {
        return minutes.getOrDefault(job, job.usualMinutes());
    }

    /** People of a department. */
    public int of(Department department) {
        return people.getOrDefault(department, department.usualPeople());
    }
}
