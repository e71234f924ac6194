/**
 * The control network: what a fixture's mode listens to, what stands in a universe, what a state is in slots, and the packets
 * that carry them (ANSI E1.11, ANSI E1.31-2018).
 */
@org.jspecify.annotations.NullMarked
package org.oblume.core.network;
