package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** A device without a network, a session that ends, a role that is taken away: what was typed is not lost and nothing is written over. */
class NoLineIT {

    private static RunningOblume oblume;
    private static Browser phone;
    private static Browser gaffer;
    private static Browser other;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        phone = new Browser(oblume.address());
        phone.goIn("crew");
        gaffer = new Browser(oblume.address());
        other = new Browser(oblume.address());
    }

    @AfterAll
    static void stop() {
        phone.close();
        gaffer.close();
        other.close();
        oblume.close();
    }

    @AfterEach
    void forget() {
        other.forget();
    }

    /** Story 11: the phone in the tunnel. */
    @Test
    void aGripTicksFiveStepsAndMovesAFlagWithNoNetworkAndEverythingArrivesOnce() {
        phone.phone();
        phone.open("/shots/3/plot");
        phone.see("[data-key=negative-fill]");
        phone.open("/shots/3/rebuild");
        phone.seeText("step 1 of");
        phone.until(
                "be live",
                d -> phone.texts("[aria-label^='The line']").stream().anyMatch(t -> t.contains("live")) ? true : null);
        phone.network(false);
        phone.until("know that the line is lost", d -> phone.text().contains("no line") ? true : null);
        for (int i = 1; i <= 5; i++) {
            int step = i;
            phone.until("be at step " + i, d -> phone.text().contains("step " + step + " of") ? true : null);
            phone.press("Done");
        }
        phone.until("see that five wait", d -> phone.text().contains("no line, 5 wait") ? true : null);
        phone.script("history.back()");
        phone.laptop();
        phone.pressCss("[data-key=negative-fill]");
        phone.type("PLACE", "3.9, 1.8");
        phone.until("see that six wait", d -> phone.text().contains("no line, 6 wait") ? true : null);
        phone.seeText("waits to be sent");

        gaffer.open("/shots/3/plot");
        gaffer.pressCss("[data-key=negative-fill]");
        gaffer.type("PLACE", "3.4, 1.5");
        gaffer.reads("PLACE", "3.40 m right, 1.50 m up");

        phone.network(true);
        phone.until("see what is to be decided", d -> phone.text().contains("1 to decide") ? true : null);
        phone.pressCss("[aria-label^='The line']");
        phone.seeText("Someone changed this meanwhile. Choose which holds.");
        assertThat(phone.text("[role=dialog]")).contains("3.40 m right, 1.50 m up", "gaffer", "3.9, 1.8");
        phone.press("Put mine on top");
        phone.until(
                "see it live again",
                d -> phone.texts("[aria-label^='The line']").stream().anyMatch(t -> t.equals("live")) ? true : null);
        gaffer.reads("PLACE", "3.90 m right, 1.80 m up");
        assertThat(
                        gaffer.fetch(
                                "return (await (await fetch('/api/shots/3/rebuild')).json()).steps.filter(s => s.done?.author === 'key grip').length"))
                .isEqualTo(5L);
        assertThat(
                        gaffer.fetch(
                                "return (await (await fetch('/api/shots/3/history?placement=negative-fill')).json()).changes.filter(c => c.author === 'key grip' && c.to?.metric.startsWith('3.90')).length"))
                .isEqualTo(1L);
    }

    @Test
    void aSessionThatEndsWhileOneTypesAsksForTheWayBackInAndTheValueIsKept() {
        other.goIn("crew");
        other.open("/shots/4/plot");
        other.pressCss("[data-key=key]");
        other.typesWhile("LEVEL", "61", () -> assertThat(
                        other.fetch("return (await fetch('/api/session', { method: 'DELETE' })).status"))
                .isEqualTo(204L));
        other.seeText("Sign in to go on");
        other.press("Go in as crew");
        other.reads("LEVEL", "61 %");
    }

    @Test
    void aRoleThatIsTakenAwayRefusesInWordsAndKeepsWhatWasTyped() {
        gaffer.open("/shots/5/plot");
        other.goIn("control");
        other.open("/shots/5/plot");
        other.pressCss("[data-key=key]");
        assertThat(other.see("[data-attribute=LEVEL] button.value").isEnabled()).isFalse();
        assertThat(other.see("[data-attribute=PATCH] input").isEnabled()).isTrue();
        String id = (String) gaffer.fetch(
                "return String((await (await fetch('/api/team')).json()).members.find(m => m.role === 'CONTROL').id)");
        assertThat(gaffer.fetch(
                        "return (await fetch('/api/team/%s', { method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': '0' }, body: JSON.stringify({ role: 'READER' }) })).status"
                                .formatted(id)))
                .isEqualTo(200L);
        WebElement field = other.see("[data-attribute=PATCH] input");
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), "7", Keys.ENTER);
        other.seeText("control operator has the role “reader”, which does not do this. Nothing was kept: ask a lead.");
        assertThat(other.see("[data-attribute=PATCH] input").getDomProperty("value"))
                .isEqualTo("7");
    }

    @Test
    void aPageThatWasOpenOpensAgainWithoutANetwork() {
        other.goIn("continuity");
        other.open("/shots/3/log");
        other.seeText("Every change in 4C");
        other.until(
                "have its page kept",
                d -> other.fetch(
                                        "return !!(await navigator.serviceWorker.ready) && !!navigator.serviceWorker.controller")
                                == Boolean.TRUE
                        ? true
                        : null);
        other.open("/shots/3/log");
        other.see("textarea");
        other.network(false);
        other.open("/shots/3/log");
        other.seeText("Every change in 4C");
        other.see("textarea").sendKeys("The cloth sags on the left");
        other.press("Add note");
        other.seeText("waits to be sent: The cloth sags on the left");
        other.network(true);
        other.until(
                "see the note kept",
                d -> other.texts(".note").stream().anyMatch(n -> n.contains("The cloth sags on the left"))
                        ? true
                        : null);
    }

    @Test
    void aReadingThatIsMadeWithoutALineWaitsAndArrivesOnce() {
        other.goIn("crew");
        other.open("/shots/6/meter");
        other.see("input[aria-label=Reading]");
        other.until(
                "be live",
                d -> other.texts("[aria-label^='The line']").stream().anyMatch(t -> t.contains("live")) ? true : null);
        other.network(false);
        other.fill("Reading", "all 100 lux, 4200 K");
        other.see("input[aria-label=Reading]").sendKeys(Keys.ENTER);
        other.seeText("Reading all 100 lux, 4200 K, 4F; waits to be sent");
        other.network(true);
        other.until("see it kept", d -> other.texts("table.log tbody th").size() == 1 ? true : null);
        assertThat(other.fetch("return (await (await fetch('/api/shots/6/readings')).json()).readings.length"))
                .isEqualTo(1L);
    }
}
