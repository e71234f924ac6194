package org.oblume.server.team;

import java.time.Instant;

/** An invitation that nobody has taken up yet. */
record Invitation(long id, TeamRole role, String madeBy, Instant expiresAt) {}
