/** Whether the shots of a scene, and their rebuilds, are in the same light: the report, its tolerances, and the signed verdict. */
@NullMarked
package org.oblume.server.continuity;

import org.jspecify.annotations.NullMarked;
