package org.oblume.server.monitor;

import org.jspecify.annotations.Nullable;

/**
 * What the signals of a scene are read through.
 *
 * @param production what all scenes of the production are read through that have none of their own
 * @param productionVersion of that, for If-Match
 * @param own the scene's, or null when it is as the production
 * @param version of that, for If-Match
 * @param label of the one that holds
 * @param say what that makes of a grey card
 */
record MonitorView(
        long productionId,
        MonitorCurve production,
        long productionVersion,
        @Nullable MonitorCurve own,
        long version,
        String label,
        String say) {}
