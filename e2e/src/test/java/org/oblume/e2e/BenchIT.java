package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The calculators, worked by someone who has only the screen. */
class BenchIT {

    private static RunningOblume oblume;
    private static Browser crew;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.empty(RunningOblume.newData());
        crew = new Browser(oblume.address());
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
    }

    @BeforeEach
    void laptop() {
        crew.laptop();
    }

    @Test
    void farTooHotIsBroughtDownByTheFirstPrescription() {
        crew.open("/");
        crew.press("Bench");
        crew.press("Correction");
        crew.fill("stop", "9");
        crew.see("[data-rank='1']");
        String best = crew.text("[data-rank='1']").replaceAll("\\s+", " ");
        assertThat(best)
                .contains(
                        "T2",
                        "4534",
                        "Double net",
                        "ND 0.9",
                        "Quarter CTO",
                        "3 mired too warm, stop and tint right; 3 filters");
        assertThat(crew.texts("[data-rank]")).hasSize(5);

        crew.press("One Quarter CTO less");
        crew.press("One Quarter CTO less");
        crew.until("see another answer", d -> crew.text("[data-rank='1']").contains("Quarter CTO") ? null : true);
        crew.fill("Add to the stock at hand", "cto quarter");
        crew.see("[role=option]");
        crew.see("[aria-label='Add to the stock at hand']").sendKeys(Keys.ENTER);
        crew.until("see it again", d -> crew.text("[data-rank='1']").contains("Quarter CTO") ? true : null);
    }

    @Test
    void theMonitorSays54And12() {
        crew.open("/bench/exposure");
        crew.fill("lit side", "54");
        crew.fill("shadow side", "12");
        crew.seeText("10.8:1");
        crew.seeText("4.5:1");
        List.of("3.4 stops", "2.2 stops", "Two sides, through BT.709", "percent divided (display-referred)")
                .forEach(crew::seeText);
    }

    @Test
    void whatIsTypedIsReadAndTheAddressKeepsIt() {
        crew.open("/bench/exposure");
        crew.fill("stop set", "8 1/3");
        crew.fill("time", "1/50");
        crew.fill("light", "90 fc");
        crew.until(
                "see it in the address",
                d -> crew.path().contains("lux=90+fc") && crew.path().contains("tStop=8+1/3") ? true : null);
        crew.settled();
        String told = crew.text("[data-found=exposure]");
        crew.open(crew.path());
        crew.until("find the same", d -> crew.text("[data-found=exposure]").equals(told) ? true : null);
    }

    @Test
    void aRefusedValueKeepsTheLastGoodPictureAndSaysWhatItNeeds() {
        crew.open("/bench/distance");
        crew.seeText("hold it with 24.2 %");
        crew.fill("to", "far");
        crew.seeText("“far” is not a length: type metres such as 1.95");
        assertThat(crew.text("[data-found=move]")).contains("hold it with 24.2 %");
        crew.see(".stale");
        crew.fill("to", "7'10\"");
        crew.gone(".stale");
        crew.seeText("gains 0.56 stops");
    }

    @Test
    void aDraggedHeadIsFollowedByItsLevel() {
        crew.open("/bench/distance");
        crew.seeText("hold it with 24.2 %");
        crew.drag(crew.see("[data-handle=to]"), 200, 0);
        crew.until("see another level", d -> crew.text("[data-found=move]").contains("24.2 %") ? null : true);
        crew.see("[data-handle=from]").sendKeys(Keys.ARROW_LEFT);
        crew.until("see the address follow", d -> crew.path().contains("fromDistanceM=2.85+m") ? true : null);
    }

    @Test
    void whatToDialSoThatItMeasures() {
        crew.open("/bench/colour");
        crew.seeText("Dial 4371 K, tint +0.007: it then measures 4150 K.");
        crew.fill("Add a filter or a cloth from the stock", "half cto");
        crew.see("[role=option]");
        crew.see("[aria-label='Add a filter or a cloth from the stock']").sendKeys(Keys.ENTER);
        crew.seeText("81 mired warmer than the camera’s white");
        crew.see("[data-handle=whiteBalanceKelvin]").sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_LEFT));
        crew.until("see the white moved", d -> crew.path().contains("whiteBalanceKelvin=4400") ? true : null);
    }

    @Test
    void theStandIsFoundFromItsTapesAndTheOtherWayRound() {
        crew.open("/bench/tape");
        crew.seeText("the stand is 1.80 m right, 2.40 m up. The tapes cross at 90°, good. Within 10 mm (model).");
        crew.fill("from A", "1");
        crew.fill("from B", "1");
        crew.seeText("The tapes do not cross: they miss by 3.00 m.");
        crew.drag(crew.see("[data-handle=stand]"), 60, 40);
        crew.until("see its tapes", d -> crew.text("[data-found=tape]").contains("1.80 m right") ? null : true);
        assertThat(crew.path()).startsWith("/bench/tape");
    }

    @Test
    void anOverloadedCircuitIsCalledOver() {
        crew.open("/bench/power");
        crew.seeText("1.79 h");
        crew.fill("Watts on circuit 1, such as 640 + 210", "2 kW + 1.2 kW");
        crew.seeText("over its limit: move a load");
        assertThat(crew.text()).contains("a qualified electrician and the local code decide");
        crew.fill("Watts on circuit 1, such as 640 + 210", "many");
        crew.seeText("“many” is not a number");
    }

    @Test
    void theUnitsAreSwitchedThereAndBackWithoutLosingWhatWasTyped() {
        crew.open("/bench/distance?fromDistanceM=3.33+m");
        crew.seeText("before, 3.33 m");
        crew.press("Feet, inches");
        crew.seeText("before, 10′ 11″");
        assertThat(crew.value("from")).isEqualTo("10′ 11″");
        crew.fill("to", "5");
        crew.seeText("now, 5′ 0″");
        crew.until("see feet in the address", d -> crew.path().contains("toDistanceM=5+ft") ? true : null);
        crew.press("Metres");
        crew.seeText("before, 3.33 m");
        assertThat(crew.value("from")).isEqualTo("3.33 m");
        crew.seeText("now, 1.52 m");
    }

    @Test
    void aLinkMeansTheSameToACrewThatWorksInFeet() {
        crew.open("/bench/tape?distanceAM=3+m&distanceBM=4+m");
        crew.press("Feet, inches");
        crew.seeText("9′ 10″");
        crew.open("/bench/tape?distanceAM=3+m&distanceBM=4+m");
        crew.seeText("A 9′ 10″, B 13′ 1 1/2″");
        crew.seeText("The tapes cross at 90°, good.");
        crew.open("/bench/exposure");
        crew.until(
                "see the same light in foot-candles", d -> crew.value("light").equals("29.7 fc") ? true : null);
        crew.press("Metres");
    }

    @Test
    void whatABenchFoundIsTakenAlongAsText() {
        crew.open("/bench/power");
        crew.seeText("1.79 h");
        crew.script("navigator.clipboard.writeText = text => { window.taken = text; return Promise.resolve() }");
        crew.press("Copy as text");
        crew.press("Copied");
        assertThat((String) crew.script("return window.taken"))
                .contains(
                        "wall right: 10.5 of 12.8 A",
                        "lasts 1.79 h",
                        "a qualified electrician and the local code decide");

        crew.open("/bench/tape");
        crew.seeText("1.80 m right");
        crew.script("navigator.clipboard.writeText = () => Promise.reject(new Error('plain http'))");
        crew.press("Copy as text");
        assertThat(crew.see("[role=dialog] textarea").getDomProperty("value")).contains("A 3.00 m, B 4.00 m");
    }
}
