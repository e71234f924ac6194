/** Who works on it: accounts with a role, invitations, signing in, and what each role may do. */
@NullMarked
package org.oblume.server.team;

import org.jspecify.annotations.NullMarked;
