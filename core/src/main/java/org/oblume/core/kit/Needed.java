package org.oblume.core.kit;

import org.jspecify.annotations.Nullable;

/**
 * One thing of the kit that a shot needs.
 *
 * @param unit the very one that is recorded, by the crew's name for it, or null when any of its kind will do
 * @param key of the placement that it is for
 * @param by what the crew calls that placement
 * @param ofThePlace whether it may well stand there already: a practical without a name
 * @param hot whether it hangs before a lamp that burns it
 */
public record Needed(KitItem item, @Nullable String unit, String key, String by, boolean ofThePlace, boolean hot) {}
