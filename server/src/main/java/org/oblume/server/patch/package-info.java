/** The patch of a shot: what listens where, what cannot work, who gets which address; the nodes of a production. */
@org.jspecify.annotations.NullMarked
package org.oblume.server.patch;
