package org.oblume.core.moves;

/**
 * A kind of work, in the order in which it is done: what goes out makes room first; all that is physical stands before
 * there is power to it, power before the patch, and levels last, so that nobody works in a lit frame.
 */
public enum Job {
    STRIKE("take a thing out", 2),
    MARK("lay a mark", 1),
    CAMERA_MOVE("move the camera", 5),
    LENS("change the lens", 3),
    BRING("bring a thing in and set it", 4),
    RIG("rig one overhead", 10),
    SHIFT("move a stand", 3),
    RAISE("change a height", 1),
    AIM("turn or aim", 1),
    DRESS("take off or put on a gel, cloth, net or grid", 1),
    FRAME("set a frame before a head", 3),
    POWER("run a cable, lay the ramp", 1),
    PATCH("set mode and address", 1),
    AT_THE_HEAD("dial one by hand", 1),
    RECALL("recall the levels", 1),
    SETTINGS("set the camera", 1),
    METER("meter a mark", 2);

    private final String label;
    private final double usualMinutes;

    Job(String label, double usualMinutes) {
        this.label = label;
        this.usualMinutes = usualMinutes;
    }

    public String label() {
        return label;
    }

    /** Minutes, until the crew says otherwise (model). */
    public double usualMinutes() {
        return usualMinutes;
    }
}
