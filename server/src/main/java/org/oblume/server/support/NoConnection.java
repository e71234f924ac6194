package org.oblume.server.support;

import java.sql.SQLTransientConnectionException;

/** A call that waited for a connection of the pool until it was given up. */
public final class NoConnection {

    private NoConnection() {}

    public static boolean isCauseOf(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLTransientConnectionException) {
                return true;
            }
        }
        return false;
    }
}
