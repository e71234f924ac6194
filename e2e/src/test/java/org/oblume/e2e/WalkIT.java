package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** Story 13: a set that nobody recorded is walked with a phone, and somebody who was not there reads that it could be rebuilt. */
@TestMethodOrder(MethodOrderer.MethodName.class)
class WalkIT {

    /** What a tap may cost over the figures that have to be entered, and for each thing. */
    private static final double KEYS_PER_FIGURE = 1.3;

    private static final int TAPS_PER_THING = 3;
    private static final Map<String, double[]> LANDMARKS = new HashMap<>();

    private static RunningOblume oblume;
    private static Browser phone;
    private static Browser other;
    private static long shot;
    private static int taps;
    private static int figures;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        phone = new Browser(oblume.address());
        other = new Browser(oblume.address());
        phone.goIn("crew");
        shot = ((Number)
                        phone.fetch(
                                """
                const production = (await (await fetch('/api/book')).json()).productions[0].production.id;
                const sets = await (await fetch(`/api/productions/${production}/sets`)).json();
                const shop = sets.find((s) => s.name === 'Radio repair shop').id;
                const started = await fetch(`/api/productions/${production}/scenes`, { method: 'POST', headers: { 'Content-Type': 'application/json' },
                  body: JSON.stringify({ number: '30', heading: 'INT. SHOP, LATER', location: 'Shop', buildOrder: 'KEY_FIRST', firstSlate: '30A', setId: shop }) });
                return (await started.json()).shotId;"""))
                .longValue();
        Object points = phone.fetch(
                "return (await (await fetch('/api/shots/%d/plot')).json()).drawn.set.plan.landmarks.map((l) => `${l.name}:${l.point.xM}:${l.point.yM}`).join('|')"
                        .formatted(shot));
        for (String landmark : String.valueOf(points).split("\\|")) {
            String[] parts = landmark.split(":");
            LANDMARKS.put(parts[0], new double[] {Double.parseDouble(parts[1]), Double.parseDouble(parts[2])});
        }
        phone.phone();
    }

    @AfterAll
    static void stop() {
        phone.close();
        other.close();
        oblume.close();
    }

    /** Where things stand in truth. */
    private static final Map<String, double[]> TRUTH = Map.of(
            "Mark 1", new double[] {3.9, 2.7},
            "Camera", new double[] {6.1, 1.1},
            "Key", new double[] {5.2, 4.1},
            "Key 2", new double[] {2.2, 4.6},
            "Fill", new double[] {2.9, 1.2},
            "Edge", new double[] {1.9, 3.1},
            "Background", new double[] {5.9, 3.3},
            "Practical", new double[] {4.6, 2.4},
            "Negative fill", new double[] {3.3, 1.9},
            "Negative fill 2", new double[] {2.6, 2.4});

    private static void tap(String name) {
        phone.press(name);
        taps++;
    }

    private static void keys(String text) {
        for (String key : text.split("")) {
            phone.press(key);
            taps++;
            figures++;
        }
    }

    /** Pulls the three tapes that the page asks for. */
    private static void tapes(String name) {
        for (String letter : new String[] {"A", "B", "C"}) {
            phone.until(
                    "be asked for tape " + letter,
                    d -> phone.text("[data-asked]").startsWith(letter + " from") ? true : null);
            String landmark =
                    phone.text("[data-asked]").replaceFirst("^. from ", "").replaceFirst(", the check$", "");
            double[] from = LANDMARKS.get(landmark);
            double[] at = TRUTH.get(name);
            keys("%03d".formatted(Math.round(100 * Math.hypot(from[0] - at[0], from[1] - at[1]))));
        }
    }

    private static void asked(String what) {
        phone.until("be asked for " + what, d -> phone.text("[data-asked]").contains(what) ? true : null);
    }

    private static void newThing(String kind, String name) {
        tap("Something new…");
        tap(kind);
        tap(name);
        tapes(name);
    }

    private static void light(String kind, String name, String height, String level, String kelvin) {
        newThing(kind, name);
        asked("height");
        keys(height);
        asked("aim");
        tap("at Mark 1");
        tap("Nothing, bare lamp");
        asked("level");
        keys(level);
        asked("white");
        keys(kelvin);
        phone.gone("[data-asked]");
    }

    private static void flag(String name, String height) {
        newThing("Flag 1.2 m", name);
        asked("height");
        keys(height);
        asked("aim");
        tap("at Mark 1");
        phone.gone("[data-asked]");
    }

    private static void waitUntilLive() {
        phone.until(
                "be live",
                d -> phone.texts("[aria-label^='The line']").stream().anyMatch(t -> t.equals("live")) ? true : null);
    }

    private static Path photograph() throws IOException {
        Path file = Files.createTempFile("key", ".jpg");
        ImageIO.write(new BufferedImage(640, 480, BufferedImage.TYPE_INT_RGB), "jpg", file.toFile());
        return file;
    }

    @Test
    void aSetOfTenThingsIsWalkedAndTheNetworkIsLostInTheMiddle() throws IOException {
        phone.open("/shots/%d/walk".formatted(shot));
        phone.seeText("as it stands");
        waitUntilLive();
        phone.pressCss("button.tape");
        taps++;
        tapes("Mark 1");
        asked("height");
        keys("118");
        asked("faces");
        keys("220");
        phone.gone("[data-asked]");
        tap("Rest as planned");
        phone.seeText("Camera");
        phone.pressCss("button.tape");
        taps++;
        tapes("Camera");
        asked("height");
        keys("142");
        asked("aim");
        tap("at Mark 1");
        asked("lens");
        keys("50");
        tap("Keep");
        asked("stop");
        keys("2");
        tap(".");
        keys("8");
        tap("Keep");
        phone.gone("[data-asked]");
        light("Bicolour LED spot 300 W", "Key", "207", "42", "5600");
        phone.upload("input[type=file]", photograph());
        light("Bicolour LED spot 300 W", "Key 2", "195", "35", "5600");
        phone.until("be heard", d -> phone.texts("[aria-label^='The line']").contains("live") ? true : null);

        phone.network(false);
        phone.until("know that the line is lost", d -> phone.text().contains("no line") ? true : null);
        light("Bicolour LED panel 200 W", "Fill", "160", "22", "4300");
        phone.upload("input[type=file]", photograph());
        light("Bicolour LED spot 150 W", "Edge", "210", "55", "3200");
        phone.open("/shots/%d/walk".formatted(shot));
        phone.seeText("no line");
        phone.until(
                "find what was walked without a line",
                d -> phone.texts("[aria-label='The things, in build order'] button")
                                        .size()
                                == 6
                        ? true
                        : null);
        light("Bicolour LED spot 150 W", "Background", "180", "30", "3200");
        phone.network(true);
        waitUntilLive();

        light("Practical bulb 60 W", "Practical", "125", "80", "2700");
        flag("Negative fill", "150");
        flag("Negative fill 2", "140");
        waitUntilLive();
        phone.until(
                "read that all could be rebuilt",
                d -> phone.text("[data-count=rebuilt]").equals("10 of 10 could be rebuilt") ? true : null);
        System.out.printf("The walk of ten things: %d taps and keys for %d figures.%n", taps, figures);
        assertThat((double) taps).isLessThanOrEqualTo(KEYS_PER_FIGURE * figures + TAPS_PER_THING * 10);
        assertThat(phone.complaints()).isEmpty();

        other.goIn("lead");
        other.open("/");
        other.until(
                "read it in the book",
                d -> other.texts("a.shot").stream()
                                .anyMatch(t -> t.contains("30A")
                                        && t.replace('\n', ' ').contains("10 of 10"))
                        ? true
                        : null);
        for (Map.Entry<String, double[]> truth : TRUTH.entrySet()) {
            Object at = other.fetch(
                    "const p = (await (await fetch('/api/shots/%d/plot')).json()).placements.find((p) => p.placement.name === '%s').values.PLACE.value; return p.xM + ' ' + p.yM;"
                            .formatted(shot, truth.getKey()));
            String[] place = String.valueOf(at).split(" ");
            double off = Math.hypot(
                    Double.parseDouble(place[0]) - truth.getValue()[0],
                    Double.parseDouble(place[1]) - truth.getValue()[1]);
            assertThat(off).as(truth.getKey()).isLessThan(0.05);
        }
        assertThat(other.fetch(
                        "return (await (await fetch('/api/shots/%d/notes')).json()).notes.filter((n) => n.photo).length"
                                .formatted(shot)))
                .as("photographs, one of them taken without a line")
                .isEqualTo(2L);
        other.open("/shots/%d/rebuild".formatted(shot));
        other.seeText("As the crew pulled them");
    }

    @Test
    void bothWalkOneShotAndOneStrikesWhatTheOtherWalks() {
        phone.open("/shots/4/walk");
        phone.seeText("as it stands");
        waitUntilLive();
        other.open("/shots/4/walk");
        other.seeText("as it stands");
        other.press("Rest as in 4C");
        phone.until(
                "see what the other looked at",
                d -> phone.texts("[data-state=whole]").size() == 1 ? true : null);
        phone.press("what is missing");
        phone.seeText("They would have to guess");
        phone.seeText("Planned, not measured: nobody has said that it stood there.");
        phone.seeText("To meter, so that it can be proved");
        int things =
                phone.texts("[aria-label='The things, in build order'] button").size();
        other.press("Not on set");
        phone.until(
                "see that it was struck",
                d -> phone.texts("[aria-label='The things, in build order'] button")
                                        .size()
                                == things - 1
                        ? true
                        : null);
    }

    @Test
    void tapesThatDisagreeAreToldWithWhatEachWouldHaveToRead() {
        phone.open("/shots/4/walk");
        phone.seeText("as it stands");
        phone.pressCss("button.tape");
        for (String read : new String[] {"270", "210", "480"}) {
            for (String key : read.split("")) {
                phone.press(key);
            }
        }
        phone.until("be told", d -> phone.text().contains("do not agree") ? true : null);
        assertThat(phone.text("[role=alert]")).contains("would read");
        phone.press("Leave the check out");
        phone.until("see it kept", d -> phone.text("[data-step=PLACE]").contains("by 2 tapes") ? true : null);
    }
}
