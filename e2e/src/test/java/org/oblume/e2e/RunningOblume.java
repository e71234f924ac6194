package org.oblume.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.rig.RunningRig;

/** The packaged application as a process of its own, on a free port. */
final class RunningOblume implements AutoCloseable {

    private static final Pattern READY = Pattern.compile("Oblume is ready: (https?://localhost:\\d+)/");
    private static final Duration LONGEST_START = Duration.ofSeconds(300);

    /** A test starts many servers and works each for a short while. */
    private static final List<String> QUICK_START = List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");

    private final Process process;
    private final StringBuffer log;
    private final String address;

    private RunningOblume(Process process, StringBuffer log, String address) {
        this.process = process;
        this.log = log;
        this.address = address;
    }

    static RunningOblume withDemo(Path data) {
        return start(data, QUICK_START, "--spring.profiles.active=demo");
    }

    /** With the demo, and a simulated rig to send to. */
    static RunningOblume withRig(Path data, RunningRig rig) {
        return start(
                data,
                QUICK_START,
                "--spring.profiles.active=demo",
                "--oblume.rig=" + rig.url(),
                "--oblume.sacn-port=" + rig.sacnPort());
    }

    /** With the demo, sending to a port of this machine. */
    static RunningOblume sendingTo(Path data, int sacnPort) {
        return start(data, QUICK_START, "--spring.profiles.active=demo", "--oblume.sacn-port=" + sacnPort);
    }

    /** Started again where this one was, on the same data and rig. */
    RunningOblume again(Path data, RunningRig rig) {
        return start(
                data,
                QUICK_START,
                "--spring.profiles.active=demo",
                "--oblume.rig=" + rig.url(),
                "--oblume.sacn-port=" + rig.sacnPort(),
                "--server.port=" + address.substring(address.lastIndexOf(':') + 1));
    }

    /** Where this one was, on other data. */
    RunningOblume inItsPlace(Path data) {
        return start(
                data,
                QUICK_START,
                "--spring.profiles.active=demo",
                "--server.port=" + address.substring(address.lastIndexOf(':') + 1));
    }

    /** On a disk that has less room than edits need, with the demo's people. */
    static RunningOblume withoutRoom(Path data) {
        return start(data, QUICK_START, "--spring.profiles.active=demo", "--oblume.least-room=8000000TB");
    }

    /** With a certificate of its own; what is typed goes to {@code httpPort}. */
    static RunningOblume withHttps(Path data, int httpPort) {
        return start(
                data,
                QUICK_START,
                "--spring.profiles.active=demo",
                "--oblume.https=true",
                "--oblume.http-port=" + httpPort,
                "--server.port=" + freePort());
    }

    /** The most memory that its process had so far, as Linux counts it. */
    long mostMemoryMb() throws IOException {
        return Files.readAllLines(Path.of("/proc/%d/status".formatted(process.pid()))).stream()
                .filter(line -> line.startsWith("VmHWM:"))
                .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")) / 1024)
                .sum();
    }

    static int freePort() {
        try (ServerSocket any = new ServerSocket(0)) {
            return any.getLocalPort();
        } catch (IOException none) {
            throw new UncheckedIOException(none);
        }
    }

    static RunningOblume empty(Path data) {
        return start(data, QUICK_START);
    }

    /** As `./oblume run` starts it, to be measured. */
    static RunningOblume asShipped(Path data) {
        return start(data, List.of());
    }

    /** One of several servers on a PostgreSQL database, {@code host:port/name}. */
    static RunningOblume inStudio(Path data, String database) {
        return start(
                data,
                List.of(),
                "--spring.profiles.active=studio",
                "--oblume.database=" + database,
                "--oblume.database-user=oblume");
    }

    private static RunningOblume start(Path data, List<String> java, String... more) {
        Path app = Path.of(System.getProperty("oblume.app"));
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "@java.options",
                "-jar",
                "oblume.jar",
                "--oblume.data=" + data.toAbsolutePath(),
                "--oblume.password-rounds=4"));
        command.addAll(2, java);
        command.addAll(List.of(more));
        if (command.stream().noneMatch(c -> c.startsWith("--server.port"))) {
            command.add("--server.port=0");
        }
        try {
            Process process = new ProcessBuilder(command)
                    .directory(app.toFile())
                    .redirectErrorStream(true)
                    .start();
            CompletableFuture<String> ready = new CompletableFuture<>();
            StringBuffer log = new StringBuffer();
            Thread reader = new Thread(() -> readLog(process, log, ready), "oblume log");
            reader.setDaemon(true);
            reader.start();
            return new RunningOblume(process, log, ready.get(LONGEST_START.toSeconds(), TimeUnit.SECONDS));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (Exception notReady) {
            throw new IllegalStateException("Oblume did not start", notReady);
        }
    }

    private static void readLog(Process process, StringBuffer log, CompletableFuture<String> ready) {
        process.inputReader().lines().forEach(line -> {
            log.append(line).append('\n');
            Matcher found = READY.matcher(line);
            if (found.find()) {
                ready.complete(found.group(1));
            }
        });
        ready.completeExceptionally(new IllegalStateException(log.toString()));
    }

    String address() {
        return address;
    }

    /** What it has said so far. */
    String log() {
        return log.toString();
    }

    long pid() {
        return process.pid();
    }

    /** Kills it, as when the laptop's battery gives out. */
    void kill() {
        try {
            process.destroyForcibly().waitFor();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** Tells it to stop, as Ctrl C does. */
    void tellToStop() {
        process.destroy();
    }

    /** Stops it as Ctrl C does, and waits until it has gone. */
    void stop() {
        tellToStop();
        try {
            if (!process.waitFor(LONGEST_START.toSeconds(), TimeUnit.SECONDS)) {
                throw new IllegalStateException("Oblume did not stop");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** Ends it when a test is over: nobody waits for what it would still say. */
    @Override
    public void close() {
        kill();
    }

    static Path newData() {
        try {
            return Files.createTempDirectory("oblume-data");
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
