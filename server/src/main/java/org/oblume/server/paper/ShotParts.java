package org.oblume.server.paper;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
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
    private static final List<Attribute> TOLD = List.of(Attribute.PATCH, Attribute.MENU);
    private static final List<Attribute> NOT_IN_A_CELL =
            List.of(Attribute.STANDING, Attribute.UNIT, Attribute.PLACE, Attribute.AIM, Attribute.ON_PURPOSE);

    private static final Set<String> NOTHING = Set.of("", "none", "0");

    private ShotParts() {}

    /** What stands, beside its drawing: what a crew needs to set it, on a page that may be narrow. */
    static Sheet.Table legend(List<PlacedView> placed, Papers.For reader) {
        return new Sheet.Table(
                "",
                List.of(
                        Papers.column("Name", 1.2),
                        Papers.column("Unit", 1.6),
                        Papers.column("Place by tape", 2.6),
                        Papers.figures("Height", 1.1),
                        Papers.figures("Level", 1),
                        Papers.column("White, hue, effect", 1.3),
                        Papers.column("Through", 1.7),
                        Papers.column("Address", 1.3)),
                placed.stream()
                        .filter(p -> p.placement().kind().isThing())
                        .map(p -> List.of(
                                p.placement().name(),
                                what(p),
                                tapes(p, reader),
                                reader.say(p, Attribute.HEIGHT),
                                isOff(p) ? "off" : reader.say(p, Attribute.LEVEL),
                                said(p, DIALLED, reader),
                                reader.say(p, Attribute.MODIFIERS),
                                reader.say(p, Attribute.PATCH)))
                        .toList());
    }

    /** What stands, as a crew reads it on one sheet. */
    static Sheet.Table things(List<PlacedView> placed, Papers.For reader) {
        return new Sheet.Table(
                "",
                List.of(
                        Papers.column("Name", 1.2),
                        Papers.column("Unit", 1.8),
                        Papers.column("Place by tape", 2.6),
                        Papers.figures("Height", 1),
                        Papers.column("Aim", 1.6),
                        Papers.figures("Beam", 0.8),
                        Papers.figures("Level", 0.8),
                        Papers.column("White, hue, effect", 1.5),
                        Papers.column("Through", 2.2),
                        Papers.column("Control, menu", 1.7)),
                placed.stream()
                        .filter(p -> p.placement().kind().isThing())
                        .map(p -> List.of(
                                p.placement().name(),
                                what(p),
                                tapes(p, reader),
                                reader.say(p, Attribute.HEIGHT),
                                aim(p),
                                reader.say(p, Attribute.BEAM),
                                isOff(p) ? "off" : reader.say(p, Attribute.LEVEL),
                                said(p, DIALLED, reader),
                                reader.say(p, Attribute.MODIFIERS),
                                said(p, TOLD, reader)))
                        .toList());
    }

    /** All that is recorded, a column each, for a spreadsheet. */
    static Sheet.Table everything(List<PlacedView> placed, Papers.For reader) {
        List<Attribute> attributes = Arrays.stream(Attribute.values())
                .filter(a -> !NOT_IN_A_CELL.contains(a))
                .toList();
        return new Sheet.Table(
                "",
                Stream.concat(
                                Stream.of("Name", "Role", "Unit", "Place by tape", "Aim"),
                                attributes.stream().map(a -> capital(a.label())))
                        .map(title -> Papers.column(title, 1))
                        .toList(),
                placed.stream()
                        .map(p -> Stream.concat(
                                        Stream.of(
                                                p.placement().name(),
                                                p.placement().role().label(),
                                                what(p),
                                                p.placement().kind().isThing() ? tapes(p, reader) : "",
                                                aim(p)),
                                        attributes.stream()
                                                .map(a -> a == Attribute.LEVEL && isOff(p) ? "off" : reader.say(p, a)))
                                .toList())
                        .toList());
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
        for (Attribute attribute : List.of(
                Attribute.STANDING,
                Attribute.LEVEL,
                Attribute.CCT,
                Attribute.TINT,
                Attribute.COLOUR,
                Attribute.EFFECT,
                Attribute.LENS,
                Attribute.STOP,
                Attribute.SPEED,
                Attribute.SHUTTER,
                Attribute.WHITE,
                Attribute.LENS_ND,
                Attribute.CONDITION,
                Attribute.PATCH,
                Attribute.MENU)) {
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
