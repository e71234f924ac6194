package org.oblume.server.storage;

import java.io.IOException;

/**
 * Makes what was committed survive a power cut. A caller waits for a sync that began after its commit; those that wait at the same
 * time share one, so that ten edits at once cost what one does.
 */
final class DiskSync {

    /** Forces all that was committed before it was called. */
    @FunctionalInterface
    interface Force {
        void run() throws IOException;
    }

    private final Force force;
    private long asked;
    private long done;
    private boolean busy;

    DiskSync(Force force) {
        this.force = force;
    }

    /**
     * Returns once what was committed before the call is on the disk.
     *
     * @throws NotOnDiskException when it could not be brought there
     */
    void await() {
        long mine = ticket();
        while (true) {
            long upTo = lead(mine);
            if (upTo == 0) {
                return;
            }
            boolean forced = false;
            try {
                force.run();
                forced = true;
            } catch (IOException | RuntimeException failed) {
                throw new NotOnDiskException(failed);
            } finally {
                end(forced ? upTo : 0);
            }
        }
    }

    /** How many have waited since it began. */
    synchronized long asked() {
        return asked;
    }

    /** How many wait, the one that syncs included. */
    synchronized long waiting() {
        return asked - done;
    }

    private synchronized long ticket() {
        return ++asked;
    }

    /** Waits while another one syncs; returns what a sync that begins now will have done, and 0 when nothing is left to do. */
    private synchronized long lead(long mine) {
        boolean interrupted = false;
        while (done < mine && busy) {
            try {
                wait();
            } catch (InterruptedException later) {
                interrupted = true;
            }
        }
        if (interrupted) {
            Thread.currentThread().interrupt();
        }
        if (done >= mine) {
            return 0;
        }
        busy = true;
        return asked;
    }

    private synchronized void end(long upTo) {
        busy = false;
        done = Math.max(done, upTo);
        notifyAll();
    }
}
