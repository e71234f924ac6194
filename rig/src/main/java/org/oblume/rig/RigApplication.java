package org.oblume.rig;

import java.io.IOException;
import java.net.BindException;
import org.oblume.core.network.SacnPacket;

/** Starts the rig by itself. */
public final class RigApplication {

    private static final int HTTP_PORT = 9080;

    private RigApplication() {}

    /** @param arguments UDP port of sACN and TCP port of the JSON interface; 5568 and 9080 when they are left out */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        int sacn = arguments.length > 0 ? Integer.parseInt(arguments[0]) : SacnPacket.PORT;
        int http = arguments.length > 1 ? Integer.parseInt(arguments[1]) : HTTP_PORT;
        try (RunningRig rig = RunningRig.start(sacn, http)) {
            System.out.printf(
                    "The simulated rig hears sACN on 127.0.0.1:%d and answers on %s/state%n",
                    rig.sacnPort(), rig.url());
            Thread.currentThread().join();
        } catch (BindException taken) {
            System.err.printf(
                    "The simulated rig did not start: port %d or %d is in use, perhaps by another Oblume. The demo goes on without it.%n",
                    sacn, http);
            System.exit(1);
        }
    }
}
