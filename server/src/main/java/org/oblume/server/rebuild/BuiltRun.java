package org.oblume.server.rebuild;

import java.util.List;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.rebuild.Instead;
import org.oblume.server.shot.SceneRecord;
import org.oblume.server.shot.Shot;

/**
 * A run with the shot as it stands there.
 *
 * @param instead what is not as recorded
 * @param done how many steps are ticked
 */
public record BuiltRun(RunHead head, Shot shot, SceneRecord record, AsBuilt built, List<Instead> instead, int done) {
}
