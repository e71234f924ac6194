package org.oblume.server.storage;

import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Ends a transaction that may have written only when it is on the disk: what a caller acknowledges after that survives a power cut. */
class DurableTransactionManager extends JpaTransactionManager {

    private final transient DiskSync disk;
    private final transient DiskRoom room;

    DurableTransactionManager(DiskSync disk, DiskRoom room) {
        this.disk = disk;
        this.room = room;
    }

    @Override
    protected void doBegin(Object transaction, TransactionDefinition definition) {
        if (!definition.isReadOnly()) {
            room.require();
        }
        super.doBegin(transaction, definition);
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
