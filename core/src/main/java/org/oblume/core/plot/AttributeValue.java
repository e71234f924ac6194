package org.oblume.core.plot;

/** One recorded value of one placement. Each attribute has its own type, which checks itself. */
public sealed interface AttributeValue permits Standing, Place, Height, Pointing, Level, Dial, Tint, Beam, Modifiers,
        Patch, Menu, Colour, Effect, Lens, Stop, Speed, Shutter, White, LensNd, Daylight, OnPurpose {

    /** The value as a crew says it, metric, without the attribute's name: {@code 45 %}. */
    String say();

    /** The same with lengths in feet and inches. */
    default String sayImperial() {
        return say();
    }
}
