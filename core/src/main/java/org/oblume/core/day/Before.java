package org.oblume.core.day;

/**
 * Of two shots of a day the one that comes first.
 *
 * @param first place of it in the list of shots, from 0
 * @param then place of the other
 * @param why in words: {@code 4A is the wide}
 */
public record Before(int first, int then, String why) {}
