package org.oblume.server.day;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.Before;
import org.oblume.core.day.DayFrame;
import org.oblume.core.day.DayShot;
import org.oblume.core.day.LightNeed;
import org.oblume.core.day.LightSpan;
import org.oblume.core.day.OrderProblem;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.moves.JobTimes;
import org.oblume.core.units.Refusal;
import org.oblume.server.shot.RecordedShot;

/** The shots of a day as they are put in order: what is on it, and what was found of each for it. */
final class DayOrder {

    private static final int MINUTES = 1440;

    /**
     * A shot of the day.
     *
     * @param again whether it is a later day of it
     * @param light times in which its light is there
     * @param soFar what was really so
     * @param doneBy when its takes have to be over, or null
     * @param elsewhere when its units are in use on another day of the date
     */
    record Planned(
            RecordedShot recorded,
            boolean again,
            ShotPlan plan,
            long planVersion,
            List<LightSpan> light,
            DayShot.@Nullable SoFar soFar,
            @Nullable TimeOfDay doneBy,
            List<DayShot.Elsewhere> elsewhere) {

        long id() {
            return recorded.shot().id();
        }

        String slate() {
            return recorded.slate().text();
        }

        long setId() {
            return recorded.scene().scene().setId();
        }

        private DayShot shot() {
            return new DayShot(
                    slate(),
                    0,
                    plan.minutes(),
                    light,
                    plan.need() != LightNeed.ANY,
                    soFar,
                    doneBy,
                    elsewhere,
                    Map.of());
        }
    }

    private final List<Planned> shots;
    private final @Nullable RecordedShot standing;
    private final Changeovers changeovers;
    private final JobTimes times;
    private final OrderProblem problem;
    private final @Nullable Refusal ring;

    /**
     * @param shots in their order
     * @param standing last shot of the day before, or null
     */
    DayOrder(
            DayFrame frame,
            List<Planned> shots,
            @Nullable RecordedShot standing,
            Changeovers changeovers,
            JobTimes times) {
        this.shots = List.copyOf(shots);
        this.standing = standing;
        this.changeovers = changeovers;
        this.times = times;
        int begun = 0;
        while (begun < shots.size() && shots.get(begun).soFar() != null) {
            begun++;
        }
        OrderProblem whole;
        Refusal refused = null;
        try {
            whole = problem(frame, before(shots), begun);
        } catch (Refusal round) {
            refused = round; // two days that were put together can make one: the day is shown, and it is said
            whole = problem(frame, List.of(), begun);
        }
        this.problem = whole;
        this.ring = refused;
    }

    private OrderProblem problem(DayFrame frame, List<Before> before, int begun) {
        return new OrderProblem(
                frame,
                shots.stream().map(Planned::shot).toList(),
                (from, to) -> changeover(from, to).minutes(),
                shots.stream().map(s -> (int) s.setId()).toList(),
                before,
                begun);
    }

    /** Why what is to come first cannot be; null while it can. */
    @Nullable
    Refusal ring() {
        return ring;
    }

    private static List<Before> before(List<Planned> shots) {
        Map<Long, Integer> places = new HashMap<>();
        for (int i = 0; i < shots.size(); i++) {
            places.put(shots.get(i).id(), i);
        }
        List<Before> all = new ArrayList<>();
        for (Planned shot : shots) {
            Integer place = places.get(shot.id());
            if (place == null) {
                continue;
            }
            Integer after = shot.plan().afterId() == null
                    ? null
                    : places.get(shot.plan().afterId());
            if (after != null) {
                all.add(new Before(after, place, "it is to come after"));
            }
            for (Planned other : shots) {
                if (shot.plan().first() && !other.plan().first() && isOfOneScene(shot, other)) {
                    all.add(new Before(
                            place, places.getOrDefault(other.id(), place), "%s comes first".formatted(shot.slate())));
                }
            }
        }
        return all;
    }

    private static boolean isOfOneScene(Planned one, Planned other) {
        return one.id() != other.id()
                && one.recorded().scene().scene().id()
                        == other.recorded().scene().scene().id();
    }

    /** From one to another; {@link OrderProblem#START} is the start of the day. */
    Changeovers.Changeover changeover(int from, int to) {
        return changeovers.between(
                from == OrderProblem.START ? standing : shots.get(from).recorded(),
                shots.get(to).recorded(),
                times);
    }

    List<Planned> shots() {
        return shots;
    }

    OrderProblem problem() {
        return problem;
    }

    /** Places by ids. */
    List<Integer> places(List<Long> ids) {
        List<Long> mine = shots.stream().map(Planned::id).toList();
        return ids.stream().map(mine::indexOf).toList();
    }

    /** Spans of a date and of the night after it. */
    static List<LightSpan> joined(List<LightSpan> today, List<LightSpan> tomorrow) {
        List<LightSpan> all = new ArrayList<>(today);
        for (LightSpan span : tomorrow) {
            LightSpan later = new LightSpan(span.from().plus(MINUTES), span.to().plus(MINUTES));
            int last = all.size() - 1;
            if (last >= 0
                    && all.get(last).to().minutes() == MINUTES - 1
                    && later.from().minutes() == MINUTES) {
                all.set(last, new LightSpan(all.get(last).from(), later.to()));
            } else {
                all.add(later);
            }
        }
        return all;
    }
}
