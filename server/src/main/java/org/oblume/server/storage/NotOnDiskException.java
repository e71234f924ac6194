package org.oblume.server.storage;

import org.springframework.transaction.TransactionSystemException;

/** What was committed could not be brought to the disk: nobody may be told that it is kept. */
final class NotOnDiskException extends TransactionSystemException {

    NotOnDiskException(Throwable cause) {
        super("The disk did not take what was written", cause);
    }
}
