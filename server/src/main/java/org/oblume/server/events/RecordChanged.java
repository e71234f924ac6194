package org.oblume.server.events;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Topic;

/**
 * Something was changed, and is kept.
 *
 * @param topics what a page may have to read anew
 * @param shotId the shot that it is about, or null
 * @param sceneId the scene that it is about, or null
 * @param device that made it, or null when it does not say
 */
public record RecordChanged(
        List<Topic> topics, @Nullable Long shotId, @Nullable Long sceneId, String person, @Nullable String device) {}
