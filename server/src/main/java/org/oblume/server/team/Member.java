package org.oblume.server.team;

/**
 * Someone with an account.
 *
 * @param version counts the changes of it, for If-Match
 */
public record Member(long id, String name, TeamRole role, long version) {}
