package org.oblume.server.paper;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.oblume.core.geometry.Side;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;
import org.oblume.server.shot.PlacedView;

/** What a sheet says of a shot: its things in a table, how the place is, what changes within it, and what is to be minded. */
final class ShotParts {

    private static final List<Attribute> DIALLED =
            List.of(Attribute.CCT, Attribute.TINT, Attribute.COLOUR, Attribute.EFFECT);
    private static final List<Attribute> OF_A_CAMERA = List.of(
            Attribute.LENS, Attribute.STOP, Attribute.SPEED, Attribute.SHUTTER, Attribute.WHITE, Attribute.LENS_ND);
    private static final List<Attribute> TOLD = List.of(Attribute.PATCH, Attribute.MENU, Attribute.FEED, Attribute.RIG);
    private static final List<Attribute> SETTINGS = Stream.of(
                    List.of(Attribute.STANDING, Attribute.LEVEL),
                    DIALLED,
                    OF_A_CAMERA,
                    List.of(Attribute.CONDITION),
                    TOLD)
            .flatMap(List::stream)
            .toList();
    private static final List<Attribute> NOT_IN_A_CELL =
            List.of(Attribute.STANDING, Attribute.UNIT, Attribute.PLACE, Attribute.AIM, Attribute.ON_PURPOSE);

    private static final Set<String> NOTHING = Set.of("", "none", "0");

    private ShotParts() {}

    /**
     * A column of a thing.
     *
     * @param share of the width of the page, beside the other columns
     */
    private record Column(
            String title, double share, boolean figures, BiFunction<PlacedView, Papers.For, String> says) {

        Column(String title, double share, BiFunction<PlacedView, Papers.For, String> says) {
            this(title, share, false, says);
        }

        static Column figures(String title, double share, Attribute attribute) {
            return new Column(title, share, true, (p, reader) -> reader.say(p, attribute));
        }

        Column wide(double other) {
            return new Column(title, other, figures, says);
        }
    }

    private static final Column NAME =
            new Column("Name", 1.1, (p, reader) -> p.placement().name());
    private static final Column UNIT = new Column("Unit", 1.7, (p, reader) -> what(p));
    private static final Column PLACE = new Column("Place by tape", 3, ShotParts::tapes);
    private static final Column HEIGHT = Column.figures("Height", 0.9, Attribute.HEIGHT);
    private static final Column AIM = new Column("Aim", 1.8, (p, reader) -> aim(p));
    private static final Column BEAM = Column.figures("Beam", 0.7, Attribute.BEAM);
    private static final Column LEVEL = new Column("Level", 0.8, true, ShotParts::level);
    private static final Column WHITE = new Column("White, hue, effect", 1.4, (p, reader) -> said(p, DIALLED, reader));
    private static final Column THROUGH = new Column("Through", 1.7, (p, reader) -> reader.say(p, Attribute.MODIFIERS));
    private static final Column ADDRESS = new Column("Address", 1.3, (p, reader) -> reader.say(p, Attribute.PATCH));
    private static final Column CONTROL = new Column("Control, menu, feed", 2.1, (p, reader) -> said(p, TOLD, reader));

    private static Sheet.Table table(List<Column> columns, Stream<PlacedView> rows, Papers.For reader) {
        return new Sheet.Table(
                "",
                columns.stream()
                        .map(c -> new Sheet.Column(c.title, c.share, c.figures))
                        .toList(),
                rows.map(p -> columns.stream().map(c -> c.says.apply(p, reader)).toList())
                        .toList());
    }

    private static Stream<PlacedView> standing(List<PlacedView> placed) {
        return placed.stream().filter(p -> p.placement().kind().isThing());
    }

    /** What stands, beside its drawing: what a crew needs to set it, on a page that may be narrow. */
    static Sheet.Table legend(List<PlacedView> placed, Papers.For reader) {
        return table(
                List.of(
                        NAME,
                        UNIT.wide(1.6),
                        PLACE.wide(2.6),
                        HEIGHT.wide(1.1),
                        LEVEL.wide(1),
                        WHITE.wide(1.3),
                        THROUGH,
                        ADDRESS),
                standing(placed),
                reader);
    }

    /** What stands, as a crew reads it on one sheet. */
    static Sheet.Table things(List<PlacedView> placed, Papers.For reader) {
        return table(
                List.of(NAME, UNIT, PLACE, HEIGHT, AIM, BEAM, LEVEL, WHITE, THROUGH, CONTROL),
                standing(placed),
                reader);
    }

    /** All that is recorded, a column each, for a spreadsheet. */
    static Sheet.Table everything(List<PlacedView> placed, NotesSaid notes, Papers.For reader) {
        return table(
                Stream.of(
                                Stream.of(
                                        NAME,
                                        new Column("Role", 1, (p, r) -> p.placement()
                                                .role()
                                                .label()),
                                        UNIT,
                                        new Column(
                                                PLACE.title,
                                                1,
                                                (p, r) -> p.placement().kind().isThing() ? tapes(p, r) : ""),
                                        AIM),
                                Arrays.stream(Attribute.values())
                                        .filter(a -> !NOT_IN_A_CELL.contains(a))
                                        .map(a -> new Column(
                                                capital(a.label()),
                                                1,
                                                a == Attribute.LEVEL ? ShotParts::level : (p, r) -> r.say(p, a))),
                                Stream.of(new Column(
                                        "Notes",
                                        1,
                                        (p, r) -> notes.of(p.placement().name()))))
                        .flatMap(columns -> columns)
                        .toList(),
                placed.stream(),
                reader);
    }

    private static String level(PlacedView placed, Papers.For reader) {
        return isOff(placed) ? "off" : reader.say(placed, Attribute.LEVEL);
    }

    /** How each camera is set. */
    static List<Sheet.Part> cameras(List<PlacedView> placed, Papers.For reader) {
        List<Sheet.Part> cameras = placed.stream()
                .filter(p -> p.placement().kind() == PlacementKind.CAMERA)
                .<Sheet.Part>map(c ->
                        new Sheet.Say("%s: %s.".formatted(c.placement().name(), said(c, OF_A_CAMERA, reader)), true))
                .toList();
        return cameras.isEmpty() ? List.of(new Sheet.Say("No camera stands here.", true)) : cameras;
    }

    /** How the place is, what changes within the shot, and what is to be minded while it is lit. */
    static List<Sheet.Part> around(List<PlacedView> placed, Papers.For reader) {
        List<Sheet.Part> parts = new ArrayList<>();
        List<String> conditions = of(placed, PlacementKind.CONDITION, Attribute.CONDITION, reader);
        if (!conditions.isEmpty()) {
            parts.add(new Sheet.Say("The place: %s.".formatted(String.join(". ", conditions)), false));
        }
        List<String> cues = of(placed, PlacementKind.CUE, Attribute.CUE, reader);
        if (!cues.isEmpty()) {
            parts.add(new Sheet.Say("Within the shot: %s.".formatted(String.join(". ", cues)), false));
        }
        placed.stream()
                .filter(p -> !p.cautions().isEmpty())
                .map(p -> "%s: %s".formatted(p.placement().name(), String.join(" ", p.cautions())))
                .forEach(c -> parts.add(new Sheet.Say("Mind: " + c, true)));
        return parts;
    }

    private static List<String> of(
            List<PlacedView> placed, PlacementKind kind, Attribute attribute, Papers.For reader) {
        return placed.stream()
                .filter(p -> p.placement().kind() == kind)
                .map(p -> "%s: %s".formatted(p.placement().name(), reader.say(p, attribute)))
                .toList();
    }

    private static String said(PlacedView placed, List<Attribute> attributes, Papers.For reader) {
        return attributes.stream()
                .map(a -> reader.say(placed, a))
                .filter(s -> !NOTHING.contains(s))
                .collect(Collectors.joining(", "));
    }

    static String what(PlacedView placed) {
        return placed.placement().piece().called();
    }

    private static boolean isOff(PlacedView placed) {
        PlacedView.ValueView held = placed.values().get(Attribute.STANDING);
        return held != null && held.value() instanceof SetStatus status && status.state() == SetStatus.State.OFF;
    }

    static String tapes(PlacedView placed, Papers.For reader) {
        PlacedView.Tapes tapes = placed.tapes();
        if (placed.measured() != null && (tapes == null || !tapes.own())) {
            return reader.say(placed.measured());
        }
        return tapes == null
                ? reader.say(placed, Attribute.PLACE)
                : "%s from %s, %s from %s, %s"
                        .formatted(
                                reader.say(tapes.a().length()),
                                tapes.a().landmark(),
                                reader.say(tapes.b().length()),
                                tapes.b().landmark(),
                                tapes.side() == Side.LEFT ? "on the left" : "on the right");
    }

    static String aim(PlacedView placed) {
        PlacedView.AimView aim = placed.aim();
        if (aim == null) {
            return "";
        }
        String tilt = Math.round(aim.tiltDeg()) == 0
                ? "level"
                : "%d° %s".formatted(Math.round(Math.abs(aim.tiltDeg())), aim.tiltDeg() < 0 ? "down" : "up");
        return "%s%s, bearing %s"
                .formatted(aim.markName() == null ? "" : "at " + aim.markName() + ", ", tilt, aim.bearing());
    }

    static String settings(PlacedView placed, Papers.For reader) {
        List<String> all = new ArrayList<>();
        for (Attribute attribute : SETTINGS) {
            PlacedView.ValueView held = placed.values().get(attribute);
            if (held != null && (attribute != Attribute.STANDING || isOff(placed))) {
                String said = reader.say(placed, attribute);
                all.add(held.value().namesItself() ? said : "%s %s".formatted(attribute.label(), said));
            }
        }
        if (placed.placement().piece().lamp() != null
                && !placed.placement().piece().lamp().upkeep().menu().isEmpty()) {
            all.add("menu to check: %s"
                    .formatted(placed.placement().piece().lamp().upkeep().menu()));
        }
        return capital(String.join("; ", all));
    }

    private static String capital(String words) {
        return words.isEmpty() ? "" : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
