package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** On each size that people have no page goes sideways, and no control lies on another or under anything. */
class EverySizeIT {

    private static final int[][] SIZES = {
        {1280, 800}, {1180, 820}, {1024, 768}, {820, 1180}, {768, 1024}, {390, 844}, {360, 740}
    };

    /** Boards and strips may: they scroll within themselves. */
    private static final String LOOK =
            """
            const problems = [];
            // not innerWidth: on a phone that grows with what overflows
            const width = document.documentElement.clientWidth;
            const wide = document.scrollingElement.scrollWidth - width;
            if (wide > 0) problems.push('the page goes sideways by ' + wide + ' px');
            for (const e of document.querySelectorAll('main, main *')) {
              const style = getComputedStyle(e), over = e.scrollWidth - e.clientWidth;
              if (over < 2 || style.overflowX === 'visible' || style.textOverflow === 'ellipsis' || e.closest('svg, .sr-only, [aria-hidden=true], [role=grid], .sideways')
                || e.matches('input, textarea, select') || !e.checkVisibility()) continue;
              problems.push('“' + (e.getAttribute('aria-label') ?? e.className) + '” is cut or goes sideways by ' + over + ' px');
            }
            const name = (e) => (e.getAttribute('aria-label') ?? e.innerText ?? e.value ?? '').trim().split('\\n')[0].slice(0, 40) || e.className || e.tagName;
            for (const control of document.querySelectorAll('a, button, input, select, textarea')) {
              if (control.closest('svg, [aria-hidden=true], [inert]') || getComputedStyle(control).pointerEvents === 'none' || !control.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
              const r = control.getBoundingClientRect();
              if (r.width < 2 || r.height < 2) continue;
              const x = r.left + r.width / 2, y = r.top + r.height / 2;
              let clipped = x < 0 || y < 0 || x >= width || y >= innerHeight;
              for (let p = control.parentElement; p && !clipped; p = p.parentElement) {
                if (getComputedStyle(p).overflow === 'visible') continue;
                const c = p.getBoundingClientRect();
                clipped = x < c.left || x > c.right || y < c.top || y > c.bottom;
              }
              if (clipped) continue;
              const top = document.elementFromPoint(x, y);
              if (top && !control.contains(top) && !top.contains(control) && !(control.labels && [...control.labels].some((l) => l.contains(top))))
                problems.push('“' + name(control) + '” lies under “' + name(top.closest('a, button, label, section, header, nav, div') ?? top) + '”');
            }
            return [...new Set(problems)];
            """;

    /**
     * Whatever is pressed is large enough for a thumb where there is no mouse, and for a mouse elsewhere: with the label that presses it.
     * A link within a sentence is as high as its line.
     */
    private static final String TARGETS =
            """
            const least = matchMedia('(pointer: coarse)').matches ? 44 : 24;
            const small = [];
            for (const e of document.querySelectorAll('main a, main button, main input, main select, main textarea, main [role=option], main [role=slider]')) {
              if (e.closest('[aria-hidden=true], [inert], .sr-only, .skip') || !e.checkVisibility({ visibilityProperty: true })) continue;
              if (e.matches('a') && getComputedStyle(e).display === 'inline' && e.closest('p, li, td, dd')) continue;
              const of = e.matches('[type=checkbox], [type=radio]') ? (e.closest('label') ?? e) : e;
              const r = of.getBoundingClientRect();
              if (r.width < 2 || r.height < 2) continue;
              if (Math.round(r.height) < least || Math.round(r.width) < Math.min(least, 24))
                small.push('“' + (e.getAttribute('aria-label') || e.innerText || e.closest('label')?.innerText || e.outerHTML).trim().split('\\n')[0].slice(0, 60) + '” is ' + Math.round(r.width) + ' by ' + Math.round(r.height) + ', less than ' + least);
            }
            return [...new Set(small)];
            """;

    /** Opens the menu of the tabs that do not fit, looks at it, and closes it; null when all of them fit. */
    private static final String MORE =
            """
            const more = [...document.querySelectorAll('main button')].find((b) => b.innerText.startsWith('More'));
            if (!more) return null;
            more.click();
            await new Promise((drawn) => setTimeout(drawn, 100));
            const r = document.querySelector('main [role=menu]').getBoundingClientRect();
            more.click();
            return r.left >= 0 && r.right <= document.documentElement.clientWidth;
            """;

    private static RunningOblume oblume;
    private static Browser crew;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        crew = new Browser(oblume.address());
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
    }

    /** All views, of the demo. */
    static final List<String> VIEWS = List.of(
            "/",
            "/shots/4C/plot",
            "/shots/4C/frame",
            "/shots/4C/light",
            "/shots/4C/carry",
            "/shots/4C/meter",
            "/shots/4C/drill",
            "/shots/17A/survey",
            "/shots/4C/stills",
            "/productions/1/days/2",
            "/archive/1",
            "/find?q=bench",
            "/find?alike=3",
            "/productions/1/kit",
            "/productions/1/kit/units?unit=2",
            "/u/H2",
            "/shots/4C/match",
            "/shots/4C/walk",
            "/shots/4C/rebuild",
            "/shots/4C/patch",
            "/shots/4C/power",
            "/shots/4C/recall",
            "/shots/4C/log",
            "/shots/4C/set",
            "/sets/1",
            "/compare/4A/4C",
            "/moves/4A/4C",
            "/bench/exposure",
            "/bench/colour",
            "/bench/correction",
            "/bench/distance",
            "/bench/still",
            "/bench/tape",
            "/bench/power",
            "/bench/stand",
            "/bench/cloth",
            "/bench/cut");

    static List<String> views() {
        return VIEWS;
    }

    /** The address of a view, whose shots are written as slates above. */
    static String path(RunningOblume oblume, String view) throws Exception {
        Person lead = Person.ofTheDemo(oblume, "LEAD");
        return view.replace("/4C/", "/" + lead.shot("4C") + "/")
                .replace("/4A/4C", "/shot-%d/shot-%d".formatted(lead.shot("4A"), lead.shot("4C")));
    }

    @ParameterizedTest
    @MethodSource("views")
    void everyViewFitsEverySize(String view) throws Exception {
        String path = path(oblume, view);
        crew.laptop();
        crew.open(path);
        crew.settled();
        List<String> problems = new ArrayList<>();
        for (int[] size : SIZES) {
            crew.size(size[0], size[1], size[0] < 1280);
            crew.settled();
            for (Object problem : (List<?>) crew.script(LOOK)) {
                problems.add("%d×%d: %s".formatted(size[0], size[1], problem));
            }
            for (Object small : (List<?>) crew.script(TARGETS)) {
                problems.add("%d×%d: %s".formatted(size[0], size[1], small));
            }
            if (Boolean.FALSE.equals(crew.fetch(MORE))) {
                problems.add("%d×%d: what is under More is cut off".formatted(size[0], size[1]));
            }
        }
        assertThat(problems).isEmpty();
    }
}
