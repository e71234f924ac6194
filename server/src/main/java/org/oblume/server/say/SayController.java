package org.oblume.server.say;

import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.support.CrewUnits;
import org.oblume.server.support.TextLimits;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** One line, as it is called out. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/shots/{shotId}")
class SayController {

    private final SayService saying;

    SayController(SayService saying) {
        this.saying = saying;
    }

    /** @param about key of what is selected or was named last: what <em>it</em> is, and a line without a name is about */
    record Line(String text, @Nullable String about) {}

    @Asks
    @PostMapping("/say")
    ParsedLine say(
            @PathVariable long shotId,
            @RequestBody Line line,
            @RequestHeader(name = CrewUnits.HEADER, required = false) @Nullable String units) {
        return ParsedLine.of(saying.read(shotId, TextLimits.line(line.text()), line.about()), CrewUnits.of(units));
    }
}
