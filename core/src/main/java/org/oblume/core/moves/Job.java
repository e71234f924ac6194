package org.oblume.core.moves;

/**
 * A kind of work, in the order in which it is done: what goes out makes room first; all that is physical stands before
 * there is power to it, power before the patch, and levels last, so that nobody works in a lit frame.
 */
public enum Job {
    STRIKE(Phase.CLEAR, "take a thing out", 2),
    MARK(Phase.FRAME, "lay a mark", 1),
    CAMERA_MOVE(Phase.FRAME, "move the camera", 5),
    LENS(Phase.FRAME, "change the lens", 3),
    BRING(Phase.STAND, "bring a thing in and set it", 4),
    RIG(Phase.STAND, "rig one overhead", 10),
    SHIFT(Phase.STAND, "move a stand", 3),
    RAISE(Phase.STAND, "change a height", 1),
    AIM(Phase.STAND, "turn or aim", 1),
    DRESS(Phase.STAND, "take off or put on a gel, cloth, net or grid", 1),
    FRAME(Phase.STAND, "set a frame before a head", 3),
    POWER(Phase.CONNECT, "run a cable, lay the ramp", 1),
    PATCH(Phase.CONNECT, "set mode and address", 1),
    AT_THE_HEAD(Phase.LEVELS, "dial one by hand", 1),
    RECALL(Phase.LEVELS, "recall the levels", 1),
    SETTINGS(Phase.LEVELS, "set the camera", 1),
    CONDITION(Phase.LEVELS, "see to haze, house lights, a blind, a door", 2),
    CUE(Phase.LEVELS, "take over a cue", 1),
    METER(Phase.PROVE, "meter a mark", 2);

    /** Parts of a change, one after the other. */
    enum Phase {
        CLEAR,
        FRAME,
        STAND,
        CONNECT,
        LEVELS,
        PROVE
    }

    private final Phase phase;
    private final String label;
    private final double usualMinutes;

    Job(Phase phase, String label, double usualMinutes) {
        this.phase = phase;
        this.label = label;
        this.usualMinutes = usualMinutes;
    }

    Phase phase() {
        return phase;
    }

    public String label() {
        return label;
    }

    /** Minutes, until the crew says otherwise (model). */
    public double usualMinutes() {
        return usualMinutes;
    }
}
