/**
 * How light goes through a set: straight, past what stands in its way, off whatever sends it on, again and again (model). Lengths in metres,
 * light in three channels ({@link org.oblume.core.colour.ConeLight}). Written with arrays where it runs for every patch of a set.
 */
@NullMarked
package org.oblume.core.transport;

import org.jspecify.annotations.NullMarked;
