package org.oblume.server.storage;

import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Ends a transaction that may have written only when it is on the disk: what a caller acknowledges after that survives a power cut. */
class DurableTransactionManager extends JpaTransactionManager {

    private final transient DiskSync disk;

    DurableTransactionManager(DiskSync disk) {
        this.disk = disk;
    }

    @Override
    protected void doCommit(DefaultTransactionStatus status) {
        super.doCommit(status);
        if (!status.isReadOnly()
                && !KeptLater.NAME.equals(TransactionSynchronizationManager.getCurrentTransactionName())) {
            disk.await();
        }
    }
}
