package org.oblume.server.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.plot.Attribute;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.units.Phrase;
import org.oblume.server.carry.CompareService;
import org.oblume.server.carry.MovesView;
import org.oblume.server.light.FrameService;
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
    private final ProductionService productions;
    private final NoteService noted;
    private final FrameService frames;

    Papers(
            ShotService shots,
            StoredScenes records,
            PlotService plots,
            RebuildSheets rebuild,
            RebuildService runs,
            CompareService comparing,
            ProductionService productions,
            NoteService noted,
            FrameService frames) {
        this.records = records;
        this.plots = plots;
        this.rebuild = rebuild;
        this.runs = runs;
        this.comparing = comparing;
        this.productions = productions;
        this.noted = noted;
        this.frames = frames;
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

    static String subtitle(String number, String heading, String description) {
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
                        Stream.of(
                                        List.of(new Sheet.Plan(drawing, scale)),
                                        frames.pictured(shotId).map(Sheet.Picture::new).stream()
                                                .toList(),
                                        List.of(table))
                                .<Sheet.Part>flatMap(List::stream)
                                .toList()),
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
}
