package org.oblume.server.day;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.day.SunViews.StreakAsked;
import org.oblume.server.day.SunViews.StreakMade;
import org.oblume.server.day.SunViews.SunLies;
import org.oblume.server.day.SunViews.SunTrack;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The sun on the set of a shot. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/shots/{shotId}/sun")
class SunController {

    private final SunService suns;
    private final StreakService streaks;

    SunController(SunService suns, StreakService streaks) {
        this.suns = suns;
        this.streaks = streaks;
    }

    /** Through a date: that of the shot's day when none is given. */
    @GetMapping
    SunTrack track(
            @PathVariable long shotId,
            @RequestParam(required = false) @Nullable LocalDate date,
            @RequestParam(required = false) @Nullable String zone) {
        return suns.track(shotId, date, zone);
    }

    /** @param minute of the date, 0 to 1439 */
    @GetMapping("/at")
    SunLies lies(
            @PathVariable long shotId,
            @RequestParam LocalDate date,
            @RequestParam String zone,
            @RequestParam double minute) {
        return suns.lies(shotId, date, zone, minute);
    }

    /** What makes a streak again; nothing is kept. */
    @Asks
    @PostMapping("/again")
    StreakMade made(@PathVariable long shotId, @RequestBody StreakAsked asked) {
        return streaks.made(shotId, asked);
    }
}
