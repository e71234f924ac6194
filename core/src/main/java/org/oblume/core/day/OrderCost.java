package org.oblume.core.day;

import java.util.List;

/**
 * What an order of a day costs, in minutes: changeovers, waiting for the light, two for a change of set, a thousand for a need that it
 * breaks.
 *
 * @param changeoverMin all changeovers
 * @param waitMin all waiting for the light
 * @param setChanges how often the crew moves to another set
 * @param broken needs that it breaks, in words
 */
public record OrderCost(double changeoverMin, double waitMin, int setChanges, List<String> broken) {

    static final double SET_CHANGE_MIN = 2;
    static final double BROKEN_MIN = 1000;

    public OrderCost {
        broken = List.copyOf(broken);
    }

    /** All of it, minutes. */
    public double total() {
        return changeoverMin + waitMin + SET_CHANGE_MIN * setChanges + BROKEN_MIN * broken.size();
    }
}
