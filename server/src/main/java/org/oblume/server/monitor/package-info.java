/** What the signals on a monitor are read through: a curve that ships or a crew's own, of a production or a scene. */
@NullMarked
package org.oblume.server.monitor;

import org.jspecify.annotations.NullMarked;
