package org.oblume.core.plot;

import org.oblume.core.units.Phrase;

/** One recorded value of one placement. Each attribute has its own type, which checks itself. */
public sealed interface AttributeValue
        permits SetStatus,
                Exchanged,
                Place,
                Height,
                AimSetting,
                Level,
                ColourTemperature,
                Tint,
                Beam,
                Modifiers,
                Patch,
                Menu,
                Feed,
                Rig,
                Colour,
                Effect,
                Lens,
                Stop,
                Speed,
                Shutter,
                White,
                LensNd,
                Daylight,
                Streak,
                Condition,
                Cue,
                OnPurpose {

    /** The value as a crew says it, metric, without the attribute's name: {@code 45 %}. */
    String say();

    /** The same with lengths in feet and inches. */
    default String sayImperial() {
        return say();
    }

    /** Whether {@link #say()} names its attribute already, as {@code ISO 800} does. */
    default boolean namesItself() {
        return false;
    }

    /** The same in both unit systems. */
    default Phrase phrase() {
        return new Phrase(say(), sayImperial());
    }

    /** What stands in a field when one starts to type over the value: {@link Attribute#parse} reads it back, where it reads any. */
    default Phrase typed() {
        return phrase();
    }

    /** In as few letters as a name on a plan or a cell of the carry board has beside it: {@code 45%}. */
    default Phrase brief() {
        return phrase();
    }
}
