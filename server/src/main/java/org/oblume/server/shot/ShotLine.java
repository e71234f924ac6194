package org.oblume.server.shot;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;

/**
 * A shot in a list.
 *
 * @param basedOn slate of the shot it carries from, or null
 * @param touched who recorded something in it last, or null
 * @param recorded how much of it could be rebuilt
 * @param said what it can be found by
 */
public record ShotLine(
        Shot shot, @Nullable Slate basedOn, @Nullable LastTouch touched, RecordCount recorded, List<SaidOfShot> said) {}
