package org.oblume.server.recall;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.Locale;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.oblume.rig.RunningRig;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** From the call that recalls a shot, without a fade, to the state of the simulated rig: {@code ./oblume bench}. Asserts no time. */
@Tag("measure")
@ServerTest
class RecallMeasuredTest {

    private static final int RUNS = 60;
    private static RunningRig rig;

    @Autowired
    private Api api;

    @DynamicPropertySource
    static void rig(DynamicPropertyRegistry settings) throws IOException {
        rig = RunningRig.start(0, 0);
        String data = Files.createTempDirectory("oblume-recall").toString();
        settings.add("oblume.data", () -> data);
        settings.add("oblume.rig", rig::url);
        settings.add("oblume.sacn-port", rig::sacnPort);
    }

    @AfterAll
    static void stopTheRig() {
        rig.close();
    }

    @Test
    void fromRecallToTheRigsState() {
        long[] shots = {api.shot("4A"), api.shot("4C")};
        api.post("/api/rig/units", "{\"shotId\":%d}".formatted(shots[0]));
        api.post("/api/output/arm", "{}");
        double[] heard = new double[RUNS];
        double[] answered = new double[RUNS];
        for (int i = -20; i < RUNS; i++) {
            String path = "/api/shots/%d/recall".formatted(shots[Math.floorMod(i, 2)]);
            String mark = api.get(path).body().get("stateDigest").asText();
            double before = key();
            long began = System.nanoTime();
            api.post(
                    path,
                    "{\"fadeSeconds\":0,\"priority\":100,\"stateDigest\":\"%s\",\"warned\":true}".formatted(mark));
            double answer = (System.nanoTime() - began) / 1e6;
            while (key() == before) {
                Thread.onSpinWait();
            }
            if (i >= 0) {
                answered[i] = answer;
                heard[i] = (System.nanoTime() - began) / 1e6;
            }
        }
        Arrays.sort(heard);
        Arrays.sort(answered);
        assertThat(heard[0]).isPositive();
        System.out.printf(
                Locale.ROOT,
                "MEASURED from pressing recall to the rig's state: median %.1f ms, 95th percentile %.1f; to the answer over HTTP: median %.1f ms, 95th percentile %.1f%n",
                heard[RUNS / 2],
                heard[RUNS * 95 / 100],
                answered[RUNS / 2],
                answered[RUNS * 95 / 100]);
    }

    private static double key() {
        return rig.rig().state().units().stream()
                .filter(u -> u.answer().unit().equals("Heron 2"))
                .findFirst()
                .orElseThrow()
                .answer()
                .dialled()
                .levelPercent();
    }
}
