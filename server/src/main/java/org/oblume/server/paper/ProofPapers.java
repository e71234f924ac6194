package org.oblume.server.paper;

import static org.oblume.server.paper.Papers.column;
import static org.oblume.server.paper.Papers.figures;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Match;
import org.oblume.core.continuity.Waiver;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Stops;
import org.oblume.server.continuity.MatchService;
import org.oblume.server.continuity.MatchView;
import org.oblume.server.metering.MeterService;
import org.oblume.server.metering.MeterView;
import org.oblume.server.proof.DiagnosisView;
import org.oblume.server.proof.ProofService;
import org.oblume.server.still.StillService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the papers say by which the same light is proved: the scene's report, a rebuild's verdict, readings. */
@Service
@Transactional(readOnly = true)
class ProofPapers {

    private final MatchService matching;
    private final ProofService proof;
    private final MeterService meter;
    private final StillService stills;

    ProofPapers(MatchService matching, ProofService proof, MeterService meter, StillService stills) {
        this.matching = matching;
        this.proof = proof;
        this.meter = meter;
        this.stills = stills;
    }

    Paper match(long sceneId, Papers.For reader) {
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

    private static List<String> judged(MatchView.ShotVerdict judged, Papers.For reader) {
        List<String> row = new ArrayList<>(List.of("%s%s, %s"
                .formatted(
                        judged.slate(),
                        judged.run() == null ? "" : ", " + judged.run().name(),
                        judged.closeness().name().toLowerCase(Locale.ROOT))));
        judged.lines().forEach(l -> row.add(figure(l)));
        row.add(Stream.concat(
                        Stream.of(judged.title(), added(judged)),
                        judged.lines().stream()
                                .map(MatchView.VerdictLine::remedy)
                                .filter(Objects::nonNull)
                                .map(reader::say))
                .filter(said -> !said.isEmpty())
                .collect(Collectors.joining(" ")));
        return row;
    }

    /** What stands here only; empty when nothing does. */
    private static String added(MatchView.ShotVerdict judged) {
        return judged.added().isEmpty()
                ? ""
                : "Not in the shot that it matches: %s.".formatted(String.join(", ", judged.added()));
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

    Paper verdict(long run, Papers.For reader) {
        MatchView.VerdictView verdict = matching.verdict(run);
        return verdict(verdict, saidOf(verdict), "verdict", lines(verdict, reader), reader);
    }

    /** The verdict, with its lights as the rows. */
    Paper lights(long run, Papers.For reader) {
        MatchView.VerdictView verdict = matching.verdict(run);
        return verdict(verdict, saidOf(verdict), "lights", heads(verdict), reader);
    }

    /** Beside what it is judged by: what the readings say, and the stills. */
    private record Besides(@Nullable DiagnosisView says, @Nullable String stills) {}

    private Besides saidOf(MatchView.VerdictView verdict) {
        return new Besides(says(verdict), stills.saidOfRun(verdict.run().id()).orElse(null));
    }

    /** What the readings say; none for one that was signed before it was kept. */
    private @Nullable DiagnosisView says(MatchView.VerdictView verdict) {
        return verdict.run().signed() == null ? proof.whole(verdict.run().id()) : verdict.diagnosis();
    }

    private static Sheet.Table lines(MatchView.VerdictView verdict, Papers.For reader) {
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

    private static Paper verdict(
            MatchView.VerdictView verdict, Besides besides, String name, Sheet.Table rows, Papers.For reader) {
        List<Sheet.Part> parts = new ArrayList<>(List.of(
                new Sheet.Say(verdict.match().title(), true),
                new Sheet.Say(steps(verdict), false),
                lines(verdict, reader),
                heads(verdict)));
        if (!verdict.match().added().isEmpty()) {
            parts.add(new Sheet.Say(added(verdict.match()), false));
        }
        if (besides.stills != null) {
            parts.add(new Sheet.Say("The stills, as they are marked today: " + besides.stills, false));
        }
        DiagnosisView says = besides.says;
        if (says != null) {
            parts.add(new Sheet.Say("What the readings say: " + says.said(), false));
            says.findings()
                    .forEach(f -> parts.add(new Sheet.Say(
                            "%s %d %%: %s."
                                    .formatted(
                                            f.likely() ? "Likely" : "Possible",
                                            f.percent(),
                                            String.join("; and ", f.words())),
                            false)));
        }
        if (verdict.readings() != null && !verdict.readings().isEmpty()) {
            parts.add(readings("Readings that it rests on", verdict.readings(), reader));
        }
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
                                .formatted(Papers.subtitle(
                                        verdict.scene().number(),
                                        verdict.scene().heading(),
                                        verdict.match().description())),
                        reader.link(
                                "/shots/%d/rebuild".formatted(verdict.match().shotId())),
                        false,
                        parts),
                rows);
    }

    private static String steps(MatchView.VerdictView verdict) {
        String revision = verdict.revision() == null || verdict.revision() == 1
                ? ""
                : " Against revision %d of the record.".formatted(verdict.revision());
        return "%d of %d steps done%s.%s"
                .formatted(
                        verdict.done(),
                        verdict.steps(),
                        verdict.undone() == null || verdict.undone().isEmpty()
                                ? ""
                                : ", not ticked: " + String.join(", ", verdict.undone()),
                        revision);
    }

    private static String said(MatchView.VerdictLine line, Papers.For reader) {
        return switch (line.verdict()) {
            case HOLDS -> "holds";
            case UNKNOWN -> "cannot be told";
            case WAIVED -> "right: " + Objects.requireNonNull(line.waiver()).reason();
            case OUT -> "%s. %s".formatted(line.say(), line.remedy() == null ? "" : reader.say(line.remedy()));
        };
    }

    /** @param run readings of a rebuild, or null for those of the shot */
    Paper readings(long shotId, @Nullable Long run, Papers.For reader) {
        MeterView view = meter.view(shotId, run);
        Sheet.Table table = readings("", view.readings(), reader);
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

    private static Sheet.Table readings(String title, List<MeterView.ReadingView> read, Papers.For reader) {
        return new Sheet.Table(
                title,
                List.of(
                        figures("When", 1.2),
                        column("Who", 1),
                        column("Mark", 1),
                        column("Light", 1.2),
                        column("Read", 3),
                        column("Against the prediction", 3)),
                read.stream()
                        .map(r -> List.of(
                                PaperController.when(r.at()),
                                r.author(),
                                r.mark(),
                                r.light() == null ? "all" : r.light() + " alone",
                                reader.say(r.words()),
                                against(r)))
                        .toList());
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
