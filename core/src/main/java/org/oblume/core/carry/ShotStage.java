package org.oblume.core.carry;

/** How far a shot has come. What is shot is locked. */
public enum ShotStage {
    PLANNED,
    LIT,
    SHOT
}
