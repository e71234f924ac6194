package org.oblume.server.rebuild;

import java.util.List;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.rebuild.Deviation;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;

/**
 * A run with the shot as it stands there.
 *
 * @param fit where the recorded plan lies on that of the place where it is rebuilt
 * @param instead what is not as recorded
 */
public record BuiltRun(
        RunHead head, Shot shot, StoredScene record, AsBuilt built, PlanFit fit, List<Deviation> instead) {}
