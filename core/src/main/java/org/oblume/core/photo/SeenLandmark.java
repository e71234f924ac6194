package org.oblume.core.photo;

import org.oblume.core.geometry.SpacePoint;

/** A landmark of the set that was tapped in a photograph. */
public record SeenLandmark(String name, SpacePoint at, Tap tap) {}
