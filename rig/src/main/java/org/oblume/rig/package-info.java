/**
 * A stand-in for the lighting network that ships with the product: virtual nodes and fixtures that hear sACN on loopback, behave
 * as their kind does, and answer for their state over a small JSON interface (docs/rig.md). It is a model, not any real device.
 */
@org.jspecify.annotations.NullMarked
package org.oblume.rig;
