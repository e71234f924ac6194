package org.oblume.server.search;

import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.search.SearchViews.Alike;
import org.oblume.server.search.SearchViews.Found;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@Needs(Permission.READ)
@RestController
class SearchController {

    private static final String LINES = "application/x-ndjson";

    private final SearchService search;
    private final AlikeService alike;
    private final ObjectMapper json;

    SearchController(SearchService search, AlikeService alike, ObjectMapper json) {
        this.search = search;
        this.alike = alike;
        this.json = json;
    }

    /** @param q words, all of which a shot has to have somewhere */
    @GetMapping("/api/search")
    Found find(@RequestParam String q) {
        return search.find(q);
    }

    /** Shots that were lit like this one: a line of JSON a step, as scenes are looked at. */
    @GetMapping(path = "/api/shots/{shotId}/alike", produces = LINES)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = LINES, schema = @Schema(implementation = Alike.class)))
    ResponseEntity<StreamingResponseBody> alike(@PathVariable long shotId) {
        AlikeService.Asked asked = alike.asked(shotId);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(LINES)).body(out -> {
            for (Alike step = alike.step(asked); step != null; step = alike.step(asked)) {
                out.write(json.writeValueAsBytes(step));
                out.write('\n');
                out.flush();
            }
        });
    }
}
