package org.oblume.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.logging.Level;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A person at a headless Chromium: finds things as they are named on the screen, and waits until they are there. */
final class Browser implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofSeconds(45);
    private static final String INSIDE = "nav[aria-label='Scenes and shots'], .spine-button";
    private static final Duration GLANCE = Duration.ofMillis(60);
    /** What a person reads of an element: the driver's own way asks of each part of it whether it can be seen. */
    private static final String READ =
            """
            const read = (e) => !e.checkVisibility({ visibilityProperty: true }) ? ''
              : (e.innerText ?? e.textContent).split('\\n').map((line) => line.replace(/[ \\t\\u00a0]+/g, ' ').trim()).join('\\n').replace(/\\n{2,}/g, '\\n').trim();
            """;

    private final ChromeDriver driver;
    private final String address;
    private boolean signedIn;

    Browser(String address) {
        this(address, null);
    }

    /** @param home whose authorities it trusts, or null for those of this machine */
    Browser(String address, Path home) {
        this.address = address;
        try {
            ChromeOptions options = new ChromeOptions();
            options.setBinary("/usr/bin/chromium");
            options.addArguments(
                    "--headless=new",
                    "--no-sandbox",
                    "--disable-gpu",
                    "--disable-quic",
                    "--no-first-run",
                    "--disable-background-networking",
                    "--disable-component-update",
                    "--disable-sync",
                    "--hide-scrollbars",
                    "--force-device-scale-factor=1",
                    "--user-data-dir=" + Files.createTempDirectory("oblume-chromium"));
            LoggingPreferences logs = new LoggingPreferences();
            logs.enable(LogType.BROWSER, Level.SEVERE);
            options.setCapability(ChromeOptions.LOGGING_PREFS, logs);
            driver = new ChromeDriver(
                    new ChromeDriverService.Builder()
                            .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                            .withEnvironment(home == null ? Map.of() : Map.of("HOME", home.toString()))
                            .build(),
                    options);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        laptop();
    }

    void laptop() {
        size(1280, 800, false);
    }

    void phone() {
        size(390, 844, true);
    }

    /** As a device of that size. */
    void size(int width, int height, boolean mobile) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", mobile));
        driver.executeCdpCommand("Emulation.setTouchEmulationEnabled", Map.of("enabled", mobile));
    }

    /** From now on everything comes over such a line. */
    void line(double mbitPerS, int latencyMs) {
        double bytesPerS = mbitPerS * 1e6 / 8;
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of(
                        "offline",
                        false,
                        "latency",
                        latencyMs,
                        "downloadThroughput",
                        bytesPerS,
                        "uploadThroughput",
                        bytesPerS));
    }

    /** Pages, and what a service worker keeps of them; not who is signed in. */
    void forgetWhatItRead() {
        driver.get("about:blank");
        driver.executeCdpCommand(
                "Storage.clearDataForOrigin",
                Map.of("origin", address, "storageTypes", "service_workers,cache_storage,indexeddb"));
        driver.executeCdpCommand("Network.clearBrowserCache", Map.of());
    }

    /** Goes to a page. Whoever has not signed in on this device goes in first: as the demo's lead, or as the gaffer, whose account is the first. */
    Browser open(String path) {
        if (!signedIn) {
            driver.get(address + "/");
            until("see who may come in", d -> d.findElements(By.id("sign-in-title")).stream()
                    .findFirst()
                    .map(WebElement::getText)
                    .orElse(null));
            if (text().contains("take a role")) {
                goIn("lead");
            } else {
                signedIn = true;
                fill("Name", "gaffer");
                see("input[type=password]").sendKeys(Person.PASSPHRASE, Keys.ENTER);
                see(INSIDE);
            }
        }
        driver.get(address + path);
        return this;
    }

    /** Imports a scene from a file. */
    void imports(String scene) throws IOException {
        open("/");
        press("Import scene…");
        see("[role=dialog]");
        upload("input[type=file]", Files.writeString(Files.createTempFile("scene", ".json"), scene));
        press("Import");
        see("main a.shot");
    }

    /** Takes a role of the demo on the page that asks for it. */
    void goIn(String role) {
        signedIn = true;
        if (!driver.getCurrentUrl().startsWith(address)) {
            driver.get(address + "/");
        }
        press("Go in as " + role);
        see(INSIDE);
    }

    String path() {
        return driver.getCurrentUrl().replace(address, "");
    }

    /** Waits for the first element of a CSS selector that can be seen. */
    WebElement see(String css) {
        return until("see " + css, d -> first("[...document.querySelectorAll(arguments[0])]", css));
    }

    /** The first of some elements that can be seen, or null: found in one question, for a page is asked often. */
    private WebElement first(String elements, String argument) {
        return (WebElement) driver.executeScript(
                "return (%s).find((e) => e.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && e.getClientRects().length) ?? null"
                        .formatted(elements),
                argument);
    }

    /** Waits until the page shows a text. */
    void seeText(String text) {
        until(
                "see “" + text + "”",
                d -> Boolean.TRUE.equals(d.executeScript(
                                "const packed = (t) => t.replace(/\\s+/g, ' '); return packed(document.body.innerText).includes(packed(arguments[0]))",
                                text))
                        ? text
                        : null);
    }

    void gone(String css) {
        until(
                "no longer see " + css,
                d -> first("[...document.querySelectorAll(arguments[0])]", css) == null ? css : null);
    }

    String text() {
        return texts("body").get(0);
    }

    String text(String css) {
        return (String) driver.executeScript(READ + "return read(arguments[0])", see(css));
    }

    @SuppressWarnings("unchecked")
    List<String> texts(String css) {
        return (List<String>)
                driver.executeScript(READ + "return [...document.querySelectorAll(arguments[0])].map(read)", css);
    }

    /** Presses the button, link or menu item of that name. */
    void press(String name) {
        String named =
                """
                [...document.querySelectorAll('button, a, [role=button], [role=option], [role=menuitem], [role=radio]')].reverse()
                  .filter((e) => !e.disabled && (e.getAttribute('aria-label') === arguments[0] || e.textContent.replace(/\\s+/g, ' ').trim() === arguments[0]))""";
        until("press " + name, d -> {
            WebElement button = first(named, name);
            if (button != null) {
                button.click();
            }
            return button;
        });
    }

    void pressCss(String css) {
        see(css).click();
    }

    /** Types into the field with that label, over what stands there. */
    void fill(String label, String text) {
        field(label).sendKeys(Keys.chord(Keys.CONTROL, "a"), text);
    }

    /** Chooses from the list with that label. */
    void choose(String label, String option) {
        WebElement list = see("select[aria-label=\"" + label + "\"]");
        until("choose " + option, d -> list.findElements(By.tagName("option")).stream()
                .filter(o -> o.getText().equals(option))
                .findFirst()
                .map(o -> {
                    o.click();
                    return true;
                })
                .orElse(null));
    }

    /** What stands in the field with that label. */
    String value(String label) {
        return field(label).getDomProperty("value");
    }

    private WebElement field(String label) {
        return until("find field " + label, d -> d
                .findElements(By.xpath("//label[.//span[normalize-space()=\"" + label + "\"] or normalize-space()=\""
                        + label + "\"]//input | //input[@id=//label[normalize-space()=\"" + label
                        + "\"]/@for] | //input[@aria-label=\"" + label + "\"]"))
                .stream()
                .filter(WebElement::isDisplayed)
                .findFirst()
                .orElse(null));
    }

    /** Types over a recorded value in the inspector and keeps it with Enter. */
    void type(String attribute, String text) {
        pressCss("[data-attribute=" + attribute + "] button.value");
        WebElement field = see("[data-attribute=" + attribute + "] input.edit");
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), text, Keys.ENTER);
    }

    /** Types over a recorded value while something else happens, and then keeps it; under a dialog it keeps itself. */
    void typesWhile(String attribute, String text, Runnable meanwhile) {
        pressCss("[data-attribute=" + attribute + "] button.value");
        WebElement field = see("[data-attribute=" + attribute + "] input.edit");
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), text);
        meanwhile.run();
        try {
            field.sendKeys(Keys.ENTER);
        } catch (ElementNotInteractableException under) {
            see("[role=dialog]");
        }
    }

    /** Presses a point of something, so many pixels from its middle. */
    void pressAt(WebElement of, double right, double down) {
        new Actions(driver)
                .moveToElement(of, (int) Math.round(right), (int) Math.round(down))
                .click()
                .perform();
    }

    /** Waits until a recorded value reads so. */
    void reads(String attribute, String text) {
        until(
                attribute + " reads " + text,
                d -> texts("[data-attribute=" + attribute + "]").stream()
                                .anyMatch(t -> packed(t).contains(packed(text)))
                        ? text
                        : null);
    }

    /** A figure and its unit stand apart by a margin, not by a space. */
    private static String packed(String text) {
        return text.replaceAll("\\s+", "");
    }

    void press(Keys key) {
        new Actions(driver).sendKeys(key).perform();
    }

    /** Types where the focus is. */
    void type(String keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    void pressWithControl(String key) {
        new Actions(driver)
                .keyDown(Keys.CONTROL)
                .sendKeys(key)
                .keyUp(Keys.CONTROL)
                .perform();
    }

    void pressWithShift(WebElement what) {
        new Actions(driver).keyDown(Keys.SHIFT).click(what).keyUp(Keys.SHIFT).perform();
    }

    /**
     * Clicks a point of an element.
     *
     * @param script answers px from its top left, [x, y]
     */
    @SuppressWarnings("unchecked")
    void clickAt(WebElement what, String script) {
        List<Number> at = (List<Number>) driver.executeScript(script);
        Dimension size = what.getSize();
        new Actions(driver)
                .moveToElement(what, (int) Math.round(at.get(0).doubleValue() - size.getWidth() / 2.0), (int)
                        Math.round(at.get(1).doubleValue() - size.getHeight() / 2.0))
                .click()
                .perform();
    }

    void drag(WebElement what, int dx, int dy) {
        new Actions(driver)
                .moveToElement(what)
                .clickAndHold()
                .moveByOffset(dx / 2, dy / 2)
                .moveByOffset(dx - dx / 2, dy - dy / 2)
                .release()
                .perform();
    }

    /** Whether this device has a network. */
    void network(boolean there) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", !there, "latency", 0, "downloadThroughput", -1, "uploadThroughput", -1));
    }

    void upload(String css, Path file) {
        until("see where a file goes", d -> d.findElements(By.cssSelector(css)).stream()
                        .findFirst()
                        .orElse(null))
                .sendKeys(file.toAbsolutePath().toString());
    }

    /** Runs script in the page and waits for the promise it returns; its {@code fetch} may edit as the page may. */
    Object fetch(String script) {
        return ((JavascriptExecutor) driver)
                .executeAsyncScript(
                        """
                const pass = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1];
                const fetch = (path, how = {}) => window.fetch(path, { ...how, headers: { ...how.headers, ...(pass && { 'X-XSRF-TOKEN': pass }) } });
                """
                                + "const done = arguments[arguments.length - 1]; (async () => {" + script
                                + "})().then(done, e => done('failed: ' + e))");
    }

    /** Waits until the page has come to rest: it waits for nothing, and nothing of it changed for a quarter of a second. */
    void settled() {
        ((JavascriptExecutor) driver)
                .executeAsyncScript(
                        """
                const done = arguments[arguments.length - 1];
                let rest = setTimeout(end, 250);
                const again = () => { clearTimeout(rest); rest = setTimeout(end, 250); };
                const watcher = new MutationObserver(again);
                const longest = Date.now() + 10000;
                function end() {
                  const waits = [...document.querySelectorAll('.m-auto')].some((e) => e.textContent.trim().endsWith('…'));
                  if (waits && Date.now() < longest) return again();
                  watcher.disconnect();
                  requestAnimationFrame(() => done());
                }
                watcher.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
                """);
    }

    Object script(String script) {
        return driver.executeScript(script);
    }

    /** Milliseconds from asking for a page until so many elements have been drawn, by the browser's own clock. */
    double timeUntilDrawn(String path, String css, int count) {
        driver.executeCdpCommand(
                "Page.addScriptToEvaluateOnNewDocument",
                Map.of(
                        "source",
                        """
                (function look() {
                  if (document.querySelectorAll('%s').length >= %d) requestAnimationFrame(() => window.drawnAt ??= performance.now());
                  else requestAnimationFrame(look);
                })()"""
                                .formatted(css, count)));
        open(path);
        return ((Number) until("see it drawn", d -> d.executeScript("return window.drawnAt"))).doubleValue();
    }

    void picture(Path file) {
        try {
            Files.createDirectories(file.getParent());
            Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    /** What the page's console complained of, other than refused requests, which are answered on the screen. */
    List<String> complaints() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .map(LogEntry::getMessage)
                .filter(m -> !m.contains("Failed to load resource"))
                .toList();
    }

    <T> T until(String what, Function<ChromeDriver, T> condition) {
        return new WebDriverWait(driver, PATIENCE)
                .pollingEvery(GLANCE)
                .withMessage(() -> "could not " + what + " on " + path() + ":\n" + text())
                .ignoring(StaleElementReferenceException.class)
                .ignoring(NoSuchElementException.class)
                .ignoring(org.openqa.selenium.ElementClickInterceptedException.class)
                .until(d -> condition.apply(driver));
    }

    /** Makes it a device that was never here: nobody signed in, nothing kept, with a network. */
    void forget() {
        network(true);
        driver.manage().deleteAllCookies();
        driver.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", address, "storageTypes", "all"));
        driver.get("about:blank");
        laptop();
        signedIn = false;
    }

    @Override
    public void close() {
        driver.quit();
    }
}
