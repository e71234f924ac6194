/** What the light of a shot does, as it is recorded and with changes that are tried. */
@NullMarked
package org.oblume.server.light;

import org.jspecify.annotations.NullMarked;
