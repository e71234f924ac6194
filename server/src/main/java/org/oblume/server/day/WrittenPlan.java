package org.oblume.server.day;

import com.fasterxml.jackson.annotation.JsonInclude;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.day.LightNeed;

/**
 * What a shot takes and needs of its day, as a file has it.
 *
 * @param shootMinutes of its takes, or null while nobody said
 * @param need the light that it can only be shot in
 * @param first whether it comes before the other shots of its scene
 * @param after the shot of the scene that it comes after, or null; one of another scene is not in the file
 * @param doneBy when its takes have to be over, or null
 * @param who leaves then, or null
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record WrittenPlan(
        @Nullable Double shootMinutes,
        @Nullable LightNeed need,
        boolean first,
        @Nullable Slate after,
        @Nullable String doneBy,
        @Nullable String who) {

    @Override
    public LightNeed need() {
        return need == null ? LightNeed.ANY : need;
    }
}
