package org.oblume.server.call;

/** What a page may have to read anew. */
public enum Topic {
    /** What the book lists: productions, scenes, shots and what is said of each. */
    BOOK,
    /** What is recorded of a shot: values, and what is placed. */
    RECORD,
    /** Shooting days, the order of their shots, and what a shot needs of its day. */
    DAYS,
    /** Saved looks. */
    LOOKS,
    /** The drawing of a set. */
    SET,
    /** Ticks of a move list, and how long moves take. */
    MOVES,
    /** Rebuild runs and their steps. */
    RUNS,
    /** Readings of a meter. */
    READINGS,
    /** What continuity is measured by: reference, tolerances, what was judged by eye. */
    MATCH,
    /** Notes and photographs. */
    NOTES,
    /** Takes. */
    TAKES,
    /** Network nodes. */
    NODES,
    /** What goes out live, and the rig. */
    OUTPUT,
    /** A crew's own fixtures. */
    KIT,
    /** Units and counted stock. */
    INVENTORY,
    /** Pull lists and what is counted on them. */
    PULLS,
    /** Who works here. */
    TEAM,
    /** Copies of the record. */
    COPIES
}
