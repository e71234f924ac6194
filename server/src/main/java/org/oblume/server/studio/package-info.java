/** Several servers on one database: each hears what the others wrote. */
@NullMarked
package org.oblume.server.studio;

import org.jspecify.annotations.NullMarked;
