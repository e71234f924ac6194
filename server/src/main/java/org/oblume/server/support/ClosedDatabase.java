package org.oblume.server.support;

import java.sql.SQLException;
import java.util.Set;
import org.h2.api.ErrorCode;

/** A database that closed itself because its file could not be written or read. */
public final class ClosedDatabase {

    private static final Set<Integer> CODES = Set.of(
            ErrorCode.DATABASE_IS_CLOSED,
            ErrorCode.DATABASE_CALLED_AT_SHUTDOWN,
            ErrorCode.CONNECTION_BROKEN_1,
            ErrorCode.OBJECT_CLOSED,
            ErrorCode.IO_EXCEPTION_1,
            ErrorCode.IO_EXCEPTION_2);

    private ClosedDatabase() {}

    public static boolean isCauseOf(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && CODES.contains(sql.getErrorCode())) {
                return true;
            }
        }
        return false;
    }
}
