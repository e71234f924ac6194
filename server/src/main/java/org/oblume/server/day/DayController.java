package org.oblume.server.day;

import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.day.DayViews.DayFileRead;
import org.oblume.server.day.DayViews.DayView;
import org.oblume.server.day.DayViews.EarlierDay;
import org.oblume.server.day.DayViews.EarlierShotPlan;
import org.oblume.server.day.DayViews.OrderStep;
import org.oblume.server.day.DayViews.ProductionDays;
import org.oblume.server.day.DayViews.TriedOrder;
import org.oblume.server.day.FeedViews.FeedsView;
import org.oblume.server.support.CsvFile;
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Shooting days, the order of their shots, and what a shot needs of its day. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class DayController {

    private static final String LINES = "application/x-ndjson";
    private static final int LARGEST_MB = 1;
    private final DayService days;
    private final DayFiles files;
    private final ShotPlans plans;
    private final DayFeeds feeds;
    private final ObjectMapper json;

    DayController(DayService days, DayFiles files, ShotPlans plans, DayFeeds feeds, ObjectMapper json) {
        this.days = days;
        this.files = files;
        this.plans = plans;
        this.feeds = feeds;
        this.json = json;
    }

    /** @param shots their ids, in their order, each once */
    record ShotOrder(List<Long> shots) {}

    @GetMapping("/productions/{productionId}/days")
    ProductionDays ofProduction(@PathVariable long productionId) {
        return new ProductionDays(days.ofProduction(productionId));
    }

    @GetMapping("/productions/{productionId}/days/{number}")
    DayView day(@PathVariable long productionId, @PathVariable int number) {
        return days.view(productionId, number);
    }

    /**
     * Batteries and circuits over a day.
     *
     * @param order of its shots that is tried; the planned one when none is given
     * @param lower how much lower all lights are taken, stops
     * @param mains units that are taken to be on the mains
     */
    @GetMapping("/productions/{productionId}/days/{number}/feeds")
    FeedsView feeds(
            @PathVariable long productionId,
            @PathVariable int number,
            @RequestParam(required = false) @Nullable List<Long> order,
            @RequestParam(defaultValue = "0") double lower,
            @RequestParam(required = false) @Nullable List<String> mains) {
        return feeds.of(
                productionId,
                number,
                new DayFeeds.WhatIf(
                        order == null || order.isEmpty() ? null : order,
                        lower,
                        mains == null ? Set.of() : Set.copyOf(mains)));
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.DAYS)
    @PutMapping("/productions/{productionId}/days/{number}")
    DayView keep(
            @PathVariable long productionId,
            @PathVariable int number,
            @RequestBody DayCard card,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        return days.keep(productionId, number, card, IfMatch.version(ifMatch), person.getName());
    }

    /** What the day was before, the latest first. */
    @GetMapping("/productions/{productionId}/days/{number}/earlier")
    List<EarlierDay> earlier(@PathVariable long productionId, @PathVariable int number) {
        return days.earlier(productionId, number);
    }

    @Needs(Permission.EDIT)
    @Changes({Topic.DAYS, Topic.BOOK})
    @PutMapping("/productions/{productionId}/days/{number}/order")
    DayView order(
            @PathVariable long productionId,
            @PathVariable int number,
            @RequestBody ShotOrder order,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        return days.order(productionId, number, order.shots(), IfMatch.version(ifMatch), person.getName());
    }

    /** An order that nobody has applied: its times, what it costs and breaks. */
    @Asks
    @PostMapping("/productions/{productionId}/days/{number}/try")
    TriedOrder tried(@PathVariable long productionId, @PathVariable int number, @RequestBody ShotOrder order) {
        return days.tried(productionId, number, order.shots());
    }

    /** @param shots the order that it is said on */
    record OrderSaid(List<Long> shots, String text) {}

    /** An order as a crew says it, {@code 4D after lunch}; nobody has applied it. */
    @Asks
    @PostMapping("/productions/{productionId}/days/{number}/say")
    TriedOrder said(@PathVariable long productionId, @PathVariable int number, @RequestBody OrderSaid said) {
        return days.said(productionId, number, said.shots(), said.text());
    }

    /** As iCalendar: an event for the takes of each shot. */
    @GetMapping(path = "/productions/{productionId}/days/{number}/calendar.ics", produces = "text/calendar")
    ResponseEntity<byte[]> calendar(@PathVariable long productionId, @PathVariable int number) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=day-%d.ics".formatted(number))
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(files.calendar(productionId, number));
    }

    /** Reads which shots a calendar or a table puts on a day; nothing is kept by this. */
    @Asks
    @PostMapping(path = "/productions/{productionId}/day-file", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    DayFileRead fileRead(@PathVariable long productionId, InputStream body) throws IOException {
        return files.fileRead(
                productionId,
                CsvFile.text(PayloadTooLargeException.read(
                        body, LARGEST_MB, "The file is larger than %d MB: a day is never that large.")));
    }

    /** The order that costs least: better ones as they are found, a step a line. Who stops reading stops the search. */
    @Asks
    @PostMapping(path = "/productions/{productionId}/days/{number}/best", produces = LINES)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = LINES, schema = @Schema(implementation = OrderStep.class)))
    ResponseEntity<StreamingResponseBody> best(@PathVariable long productionId, @PathVariable int number) {
        DayService.Search search = days.search(productionId, number);
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(LINES)).body(out -> {
            List<Integer> best = OrderSearch.best(search.problem(), new OrderSearch.Waiting() {
                @Override
                public void better(double done, List<Integer> order) {
                    goOn(new OrderStep(done, search.told(order)));
                }

                @Override
                public boolean goesOn(double done) {
                    return goOn(new OrderStep(done, null));
                }

                private boolean goOn(OrderStep step) {
                    try {
                        write(out, step);
                        return true;
                    } catch (IOException nobodyWaits) {
                        return false;
                    }
                }
            });
            write(out, new OrderStep(1, search.told(best)));
        });
    }

    private void write(OutputStream out, OrderStep step) throws IOException {
        out.write(json.writeValueAsBytes(step));
        out.write('\n');
        out.flush();
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.DAYS)
    @PutMapping("/shots/{shotId}/plan")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void plan(
            @PathVariable long shotId,
            @RequestBody ShotPlan plan,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        plans.keep(shotId, plan, IfMatch.version(ifMatch), person.getName());
    }

    /** What was said of it before, the latest first. */
    @GetMapping("/shots/{shotId}/plan/earlier")
    List<EarlierShotPlan> earlierPlans(@PathVariable long shotId) {
        return plans.earlier(shotId);
    }
}
