package org.oblume.server.storage;

import org.springframework.transaction.CannotCreateTransactionException;

/** There is no room on the disk for an edit. */
public final class DiskFullException extends CannotCreateTransactionException {

    DiskFullException(long leastMb) {
        super(
                "The disk of the server’s machine is full. Nothing of yours was kept: make room there, %d MB at least, and it is taken by itself. What is recorded can still be read."
                        .formatted(leastMb));
    }
}
