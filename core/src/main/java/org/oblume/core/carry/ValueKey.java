package org.oblume.core.carry;

import org.oblume.core.plot.Attribute;

/**
 * One value of one thing: what a knot ties and a change is about.
 *
 * @param placement key of the thing
 * @param attribute which of its values
 */
public record ValueKey(String placement, Attribute attribute) {}
