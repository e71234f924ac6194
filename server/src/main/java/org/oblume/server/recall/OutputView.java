package org.oblume.server.recall;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.server.team.TeamRole;

/**
 * What goes out now.
 *
 * @param armed who armed output and where to; null while it is off
 * @param live the shot that is sent; null while nothing is
 * @param interfaces what output can go to, loopback first
 * @param interruption what to know of a server that stopped while output was live, until output is armed again; or null
 * @param sendError why packets do not leave, or null
 * @param rig whether there is a rig that answers
 * @param stopping who may stop it
 */
public record OutputView(
        @Nullable Armed armed,
        @Nullable LiveShot live,
        List<Outlet> interfaces,
        @Nullable String interruption,
        @Nullable String sendError,
        boolean rig,
        Stopping stopping) {

    /**
     * @param stoppedBy that role and those above it may
     * @param roles all of these
     * @param version for If-Match
     */
    public record Stopping(TeamRole stoppedBy, List<TeamRole> roles, long version) {}

    /** @param atStop what becomes of the lights when output stops */
    public record Armed(String by, Instant at, String outlet, AtStop atStop) {}

    /**
     * @param done how far its fade has come, 0 to 1
     * @param universes how many are sent
     * @param packets sent since output was armed
     * @param revised when the record has changed since it was recalled: a sentence; or null
     */
    public record LiveShot(
            long shotId,
            Slate slate,
            String by,
            Instant at,
            double fadeSeconds,
            double done,
            int priority,
            int cue,
            int universes,
            long packets,
            @Nullable String revised) {}

    /**
     * Where output can go.
     *
     * @param loopback whether it stays on this machine
     */
    public record Outlet(String name, String address, boolean loopback) {}
}
