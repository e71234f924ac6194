package org.oblume.server.support;

/** Nothing was done because something else is at it: the call may be sent again in a moment. */
public final class BusyException extends RuntimeException {

    public BusyException(String what) {
        super(what);
    }
}
