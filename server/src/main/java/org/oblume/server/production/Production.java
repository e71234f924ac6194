package org.oblume.server.production;

/**
 * A production.
 *
 * @param days planned shooting days
 */
public record Production(long id, String name, int days) {}
