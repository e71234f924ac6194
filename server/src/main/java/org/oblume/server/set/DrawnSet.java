package org.oblume.server.set;

/**
 * A set as it is kept.
 *
 * @param version counts its changes, for If-Match
 */
public record DrawnSet(long id, long productionId, long version, StageSet set) {}
