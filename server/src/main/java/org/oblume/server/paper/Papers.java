package org.oblume.server.paper;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Match;
import org.oblume.core.continuity.Waiver;
import org.oblume.core.plot.Attribute;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Stops;
import org.oblume.server.carry.CompareService;
import org.oblume.server.carry.MovesView;
import org.oblume.server.continuity.MatchService;
import org.oblume.server.continuity.MatchView;
import org.oblume.server.metering.MeterService;
import org.oblume.server.metering.MeterView;
import org.oblume.server.note.NoteService;
import org.oblume.server.production.ProductionService;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.rebuild.RebuildSheets;
import org.oblume.server.rebuild.RebuildView;
import org.oblume.server.shot.PlacedView;
import org.oblume.server.shot.PlotService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What each paper says. */
@Service
@Transactional(readOnly = true)
class Papers {

    private final StoredScenes records;
    private final PlotService plots;
    private final RebuildSheets rebuild;
    private final RebuildService runs;
    private final CompareService comparing;
    private final MatchService matching;
    private final MeterService meter;
    private final ProductionService productions;
    private final NoteService noted;

    Papers(
            ShotService shots,
            StoredScenes records,
            PlotService plots,
            RebuildSheets rebuild,
            RebuildService runs,
            CompareService comparing,
            MatchService matching,
            MeterService meter,
            ProductionService productions,
            NoteService noted) {
        this.records = records;
        this.plots = plots;
        this.rebuild = rebuild;
        this.runs = runs;
        this.comparing = comparing;
        this.matching = matching;
        this.meter = meter;
        this.productions = productions;
        this.noted = noted;
    }

    /**
     * Who asks for a paper.
     *
     * @param imperial whether lengths are in feet and inches
     * @param site address of the server as the reader reaches it, without a slash at its end
     */
    record For(boolean imperial, @Nullable String site) {

        String say(Phrase words) {
            return imperial ? words.imperial() : words.metric();
        }

        String say(PlacedView.TapeView.LengthView reach) {
            return imperial ? reach.imperial() : reach.metric();
        }

        String say(PlacedView placed, Attribute attribute) {
            PlacedView.ValueView held = placed.values().get(attribute);
            return held == null ? "" : say(held.say());
        }

        @Nullable
        String link(String path) {
            return site == null ? null : site + path;
        }
    }

    /** A drawing with its scene and shot. */
    private record Subject(Shot shot, StoredScene record, String production, List<PlacedView> placed) {

        String title(String what) {
            Integer day = shot.card().day();
            return "%s, %s%s, revision %d"
                    .formatted(shot.card().slate(), what, day == null ? "" : ", day " + day, shot.revision());
        }

        String subtitle() {
            return production + ". "
                    + Papers.subtitle(
                            record.scene().heading().number(),
                            record.scene().heading().heading(),
                            shot.card().description());
        }
    }

    private static String subtitle(String number, String heading, String description) {
        return "Sc. %s %s%s".formatted(number, heading, description.isEmpty() ? "" : ". " + description);
    }

    private Subject subject(long shotId) {
        RecordedShot shot = records.shot(shotId);
        return new Subject(
                shot.shot(),
                shot.scene(),
                productions.get(shot.scene().scene().productionId()).name(),
                plots.placed(shot).stream().filter(PlacedView::onSet).toList());
    }

    PlanDrawing drawing(long shotId) {
        return drawing(subject(shotId));
    }

    private static PlanDrawing drawing(Subject subject) {
        SceneRecord scene = subject.record.record();
        return new PlanDrawing(scene, scene.book().resolve(subject.shot.card().slate()));
    }

    private static PlanDrawing drawing(AsBuilt built) {
        return new PlanDrawing(built.scene(), built.state());
    }

    /** @param scale 25 means 1 : 25; 0 for the largest that fits a page */
    Paper plot(long shotId, int scale, For reader) {
        Subject subject = subject(shotId);
        Sheet.Table table = ShotParts.legend(subject.placed, reader);
        PlanDrawing drawing = drawing(subject);
        return new Paper(
                file(subject, "plot"),
                new Sheet(
                        subject.title("plot"),
                        subject.subtitle(),
                        reader.link("/shots/" + shotId + "/plot"),
                        PdfSheet.suitsLandscape(drawing),
                        List.of(new Sheet.Plan(drawing, scale), table)),
                ShotParts.everything(subject.placed, new NotesSaid(noted.ofShot(shotId)), reader));
    }

    Paper shotSheet(long shotId, For reader) {
        Subject subject = subject(shotId);
        Sheet.Table table = ShotParts.things(subject.placed, reader);
        NotesSaid notes = new NotesSaid(noted.ofShot(shotId));
        return new Paper(
                file(subject, "sheet"),
                new Sheet(
                        subject.title("shot sheet"),
                        subject.subtitle(),
                        reader.link("/shots/" + shotId + "/plot"),
                        true,
                        Stream.of(
                                        ShotParts.cameras(subject.placed, reader),
                                        RecordGaps.of(subject.placed, reader),
                                        ShotParts.around(subject.placed, reader),
                                        List.of(table),
                                        notes.parts())
                                .<Sheet.Part>flatMap(List::stream)
                                .toList()),
                ShotParts.everything(subject.placed, notes, reader));
    }

    private static String file(Subject subject, String what) {
        return "%s-%s".formatted(subject.shot.card().slate(), what);
    }

    static Sheet.Column column(String title, double share) {
        return new Sheet.Column(title, share, false);
    }

    static Sheet.Column figures(String title, double share) {
        return new Sheet.Column(title, share, true);
    }

    /** @param run of which rebuild, or null for the shot's open one */
    Paper rebuild(long shotId, @Nullable Long run, For reader) {
        RebuildView sheet = run == null ? rebuild.ofShot(shotId) : rebuild.ofRun(run);
        Subject subject = subject(shotId);
        List<Sheet.Part> parts = new ArrayList<>();
        parts.add(new Sheet.Say(
                "Put things up in this order. A and B are tapes along the floor from the landmarks named; left and right are as one walks from A to B.",
                false));
        if (!sheet.stands().isEmpty()) {
            parts.add(new Sheet.Say("Stands already: %s.".formatted(String.join(", ", sheet.stands())), true));
        }
        if (!sheet.out().isEmpty()) {
            parts.add(new Sheet.Say("Take out: %s.".formatted(String.join(", ", sheet.out())), true));
        }
        parts.addAll(RecordGaps.of(
                sheet.steps().stream().map(RebuildView.Step::placed).toList(), reader));
        sheet.misfits().forEach(m -> parts.add(new Sheet.Say("Does not fit: " + reader.say(m.words()), true)));
        parts.addAll(ShotParts.around(subject.placed, reader));
        NotesSaid notes = new NotesSaid(noted.ofShot(shotId));
        parts.addAll(notes.parts());
        parts.add(new Sheet.Steps(IntStream.range(0, sheet.steps().size())
                .mapToObj(i -> RebuildParts.step(i + 1, sheet.steps().get(i), reader))
                .toList()));
        parts.add(new Sheet.Plan(
                sheet.run() == null
                        ? drawing(shotId)
                        : drawing(runs.built(sheet.run().id()).built()),
                0));
        String name =
                sheet.run() == null ? "rebuild" : "rebuild, " + sheet.run().name();
        return new Paper(
                "%s-rebuild".formatted(sheet.slate()),
                new Sheet(
                        subject.title(name),
                        subject.production + ". "
                                + subtitle(sheet.scene().number(), sheet.scene().heading(), sheet.setName()),
                        reader.link("/shots/%d/rebuild".formatted(shotId)),
                        false,
                        parts),
                RebuildParts.table(sheet.steps(), notes, reader));
    }

    Paper moves(String from, String to, For reader) {
        MovesView moves = comparing.moves(from, to);
        Sheet.Table table = new Sheet.Table(
                "",
                List.of(
                        column("", 0.3),
                        column("Department", 1),
                        column("Do", 4),
                        figures("Starts", 0.7),
                        figures("Takes", 0.7),
                        figures("People", 0.6),
                        column("Mind", 2.5)),
                moves.moves().stream()
                        .map(m -> List.of(
                                m.done() == null ? "" : "done",
                                m.department().name().toLowerCase(Locale.ROOT),
                                reader.imperial()
                                        ? m.words().imperial()
                                        : m.words().metric(),
                                minutes(m.startMin()),
                                minutes(m.minutes()),
                                String.valueOf(m.people()),
                                String.join(" ", m.cautions())))
                        .toList());
        return new Paper(
                "moves-%s-%s".formatted(moves.from().name(), moves.to().name()),
                new Sheet(
                        "Moves, %s to %s"
                                .formatted(moves.from().name(), moves.to().name()),
                        "%s. About %s on the clock (estimate)."
                                .formatted(
                                        subtitle(
                                                moves.to().scene().number(),
                                                moves.to().scene().heading(),
                                                moves.to().description()),
                                        minutes(moves.minutes())),
                        reader.link("/moves?from=%s&to=%s".formatted(from, to)),
                        false,
                        List.of(table)),
                table);
    }

    private static String minutes(double minutes) {
        return "%d min".formatted(Math.round(minutes));
    }

    Paper match(long sceneId, For reader) {
        MatchView report = matching.scene(sceneId);
        List<Sheet.Column> columns = new ArrayList<>(List.of(column("Shot", 1.1)));
        Arrays.stream(Aspect.values()).forEach(a -> columns.add(column(a.label(), 1.2)));
        columns.add(column("Verdict and what to do", 3));
        List<MatchView.ShotVerdict> all =
                Stream.concat(report.shots().stream(), report.runs().stream()).toList();
        Sheet.Table table = new Sheet.Table(
                "", columns, all.stream().map(j -> judged(j, reader)).toList());
        List<Sheet.Part> parts = new ArrayList<>(List.of(new Sheet.Say(report.summary(), true), table));
        all.forEach(j -> j.lines().stream()
                .filter(l -> l.verdict() == Match.Verdict.WAIVED)
                .forEach(l -> parts.add(new Sheet.Say(
                        "%s, %s: %s (%s). %s"
                                .formatted(
                                        j.slate(),
                                        l.label(),
                                        Objects.requireNonNull(l.waiver()).reason(),
                                        l.waiver().author(),
                                        l.waiver().cause() == Waiver.Cause.CHEAT ? "A cheat." : "Right by eye."),
                        false))));
        return new Paper(
                "match-%s".formatted(report.scene().number()),
                new Sheet(
                        "Match, scene %s against %s".formatted(report.scene().number(), report.reference()),
                        "%s. Ratio: %s. m: metered, p: predicted."
                                .formatted(report.scene().heading(), report.schoolLabel()),
                        reader.link("/shots/%d/match".formatted(report.referenceId())),
                        true,
                        parts),
                table);
    }

    private static List<String> judged(MatchView.ShotVerdict judged, For reader) {
        List<String> row = new ArrayList<>(List.of("%s%s, %s"
                .formatted(
                        judged.slate(),
                        judged.run() == null ? "" : ", " + judged.run().name(),
                        judged.closeness().name().toLowerCase(Locale.ROOT))));
        judged.lines().forEach(l -> row.add(figure(l)));
        row.add(Stream.concat(
                        Stream.of(judged.title()),
                        judged.lines().stream()
                                .map(MatchView.VerdictLine::remedy)
                                .filter(Objects::nonNull)
                                .map(reader::say))
                .collect(Collectors.joining(" ")));
        return row;
    }

    private static String figure(MatchView.VerdictLine line) {
        return line.now() == null
                ? "not known"
                : "%s%s"
                        .formatted(
                                said(line.now()),
                                line.differenceSaid() == null ? "" : " (%s)".formatted(line.differenceSaid()));
    }

    private static String said(MatchView.@Nullable FigureView figure) {
        return figure == null ? "not known" : figure.said() + (figure.metered() ? " m" : " p");
    }

    Paper verdict(long run, For reader) {
        MatchView.VerdictView verdict = matching.verdict(run);
        return verdict(verdict, "verdict", lines(verdict, reader), reader);
    }

    /** The verdict, with its lights as the rows. */
    Paper lights(long run, For reader) {
        MatchView.VerdictView verdict = matching.verdict(run);
        return verdict(verdict, "lights", heads(verdict), reader);
    }

    private static Sheet.Table lines(MatchView.VerdictView verdict, For reader) {
        return new Sheet.Table(
                "Against the record",
                List.of(
                        column("", 2),
                        column("Recorded", 1.2),
                        column("Now", 1.2),
                        column("Difference", 1),
                        column("Within", 1),
                        column("Verdict", 3)),
                verdict.match().lines().stream()
                        .map(l -> List.of(
                                l.label(),
                                said(l.recorded()),
                                said(l.now()),
                                l.differenceSaid() == null ? "" : l.differenceSaid(),
                                l.toleranceSaid(),
                                said(l, reader)))
                        .toList());
    }

    private static Sheet.Table heads(MatchView.VerdictView verdict) {
        return new Sheet.Table(
                "Each light alone",
                List.of(
                        column("Light", 2),
                        figures("Stops off", 1),
                        figures("Mired off", 1),
                        figures("Duv off", 1),
                        column("Verdict", 4)),
                verdict.heads().stream()
                        .map(h -> List.of(
                                h.name(),
                                h.kStops() == null ? "" : Stops.of(h.kStops()).inTenths(),
                                h.mired() == null ? "" : Numbers.plain(Math.rint(h.mired())),
                                h.duv() == null ? "" : Duv.print(h.duv()),
                                h.verdict() == Match.Verdict.UNKNOWN
                                        ? "not read"
                                        : h.verdict() == Match.Verdict.HOLDS
                                                ? "holds"
                                                : "off. " + String.join("; or ", h.likely())))
                        .toList());
    }

    private static Paper verdict(MatchView.VerdictView verdict, String name, Sheet.Table rows, For reader) {
        List<Sheet.Part> parts = new ArrayList<>(List.of(
                new Sheet.Say(verdict.match().title(), true),
                new Sheet.Say("%d of %d steps done.".formatted(verdict.done(), verdict.steps()), false),
                lines(verdict, reader),
                heads(verdict)));
        verdict.otherwise()
                .forEach(o -> parts.add(new Sheet.Say(
                        "Not as recorded: %s, %s. %s"
                                .formatted(
                                        o.name(),
                                        o.now().stream().map(reader::say).collect(Collectors.joining(", ")),
                                        o.why()),
                        false)));
        parts.add(new Sheet.Signing(
                verdict.run().signed() == null
                        ? "Signed by the lead"
                        : "Signed by %s, %s: %s"
                                .formatted(
                                        verdict.run().signed().author(),
                                        PaperController.when(
                                                verdict.run().signed().at()),
                                        verdict.run().signed().said())));
        return new Paper(
                "%s-%s".formatted(verdict.match().slate(), name),
                new Sheet(
                        "%s, verdict: %s"
                                .formatted(
                                        verdict.match().slate(), verdict.run().name()),
                        "%s. m: metered, p: predicted."
                                .formatted(subtitle(
                                        verdict.scene().number(),
                                        verdict.scene().heading(),
                                        verdict.match().description())),
                        reader.link(
                                "/shots/%d/rebuild".formatted(verdict.match().shotId())),
                        false,
                        parts),
                rows);
    }

    private static String said(MatchView.VerdictLine line, For reader) {
        return switch (line.verdict()) {
            case HOLDS -> "holds";
            case UNKNOWN -> "cannot be told";
            case WAIVED -> "right: " + Objects.requireNonNull(line.waiver()).reason();
            case OUT -> "%s. %s".formatted(line.say(), line.remedy() == null ? "" : reader.say(line.remedy()));
        };
    }

    /** @param run readings of a rebuild, or null for those of the shot */
    Paper readings(long shotId, @Nullable Long run, For reader) {
        MeterView view = meter.view(shotId, run);
        Sheet.Table table = new Sheet.Table(
                "",
                List.of(
                        figures("When", 1.2),
                        column("Who", 1),
                        column("Mark", 1),
                        column("Light", 1.2),
                        column("Read", 3),
                        column("Against the prediction", 3)),
                view.readings().stream()
                        .map(r -> List.of(
                                PaperController.when(r.at()),
                                r.author(),
                                r.mark(),
                                r.light() == null ? "all" : r.light() + " alone",
                                reader.say(r.words()),
                                against(r)))
                        .toList());
        return new Paper(
                "%s-readings".formatted(view.slate()),
                new Sheet(
                        "%s, readings".formatted(view.slate()),
                        view.description(),
                        reader.link("/shots/%d/meter".formatted(shotId)),
                        true,
                        List.of(table)),
                table);
    }

    private static String against(MeterView.ReadingView read) {
        if (read.solo() != null) {
            return Stream.of(
                            read.solo().kStops() == null
                                    ? ""
                                    : "%s stop"
                                            .formatted(Stops.of(read.solo().kStops())
                                                    .inTenths()),
                            read.solo().mired() == null
                                    ? ""
                                    : Numbers.plain(Math.rint(read.solo().mired())) + " mired",
                            String.join("; or ", read.solo().likely()))
                    .filter(s -> !s.isEmpty())
                    .collect(Collectors.joining(", "));
        }
        return read.beside().stream()
                .map(b -> "%s %s stop".formatted(b.what(), Stops.of(b.stops()).inTenths()))
                .collect(Collectors.joining(", "));
    }
}
