package org.oblume.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.filter.StockItem;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.LensNd;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Shutter;
import org.oblume.core.plot.Speed;
import org.oblume.core.plot.Stop;
import org.oblume.core.plot.Tint;
import org.oblume.core.plot.White;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/** One thing that is said of one placement. */
final class CommandClause {

    private static final double EYES_M = 1.5;
    private static final double USUAL_FRAME_M = 0.8;
    /** Nobody sets a stand finer than a tape reads: to the centimetre. */
    private static final double PER_METRE = 100;

    private final CommandParser line;
    private final Placement about;
    private final Tokens words;

    CommandClause(CommandParser line, Placement about, Tokens words) {
        this.line = line;
        this.about = about;
        this.words = words;
    }

    /**
     * Takes one thing from the words.
     *
     * @return whether anything was understood
     */
    boolean read() {
        return status() || side() || figure() || more() || moved() || sent() || aimed() || dressed() || dialled()
                || camera();
    }

    /** On which side of the walls it stands, on purpose. */
    private boolean side() {
        boolean outside = words.take("outside");
        if (!outside && !words.take("inside")) {
            return false;
        }
        Place place = line.value(about.key(), Place.class)
                .orElseThrow(() -> new Refusal("%s has no place yet: drag it onto the plan.".formatted(about.name())));
        line.put(about, new Place(place.xM(), place.yM(), outside));
        return true;
    }

    private boolean status() {
        if (words.take("off", "out")) {
            line.put(about, new SetStatus(SetStatus.State.OFF));
        } else if (words.take("on")) {
            line.put(about, SetStatus.ON);
        } else if (words.take("strike", "struck", "gone")) {
            line.put(about, SetStatus.STRUCK);
        } else if (words.take("hold", "held")) {
            line.hold(about);
        } else {
            return false;
        }
        return true;
    }

    /** A level or a colour temperature. */
    private boolean figure() {
        words.take("at");
        String one = words.ahead(1);
        String two = words.ahead(2);
        if (about.kind().isLight() && !line.hangs(words) && words.take("full")) {
            line.put(about, Level.FULL);
            return true;
        }
        for (String text : List.of(two, one)) {
            if (text.matches("[\\d.,]+ ?(%|percent)")) {
                words.skip(text.contains(" ") ? 2 : 1);
                line.put(
                        about,
                        new Level(
                                Percent.parse(text.replaceAll(" ?percent", "%")).value()));
                return true;
            }
            if (text.matches("\\d{4,5} ?(k|kelvin)?") && about.kind() != PlacementKind.CAMERA) {
                words.skip(text.contains(" ") ? 2 : 1);
                line.put(
                        about,
                        new ColourTemperature(
                                Kelvin.parse(text.replaceAll("[^0-9]", "")).value()));
                return true;
            }
        }
        return distance(one);
    }

    /** {@code 2.1 m}, {@code from 118 up 24 at 6.5 m}: so far from what it is aimed at. */
    private boolean distance(String one) {
        if (one.equals("from")) {
            words.take();
            double bearing = Bearing.parse(words.take().text()).degrees();
            double up = words.take("up") ? Bearing.parse(words.take().text()).degrees() : 0;
            words.take("at");
            SpacePoint target = target();
            double away = words.length().orElseGet(() -> place().distanceM(target));
            SpacePoint there = Direction.of(Bearing.ofDegrees(bearing), up).from(target, away);
            put(there);
            line.put(about, new Height(round(there.zM())));
            return true;
        }
        if (about.kind() == PlacementKind.CAMERA) {
            return false;
        }
        Optional<Double> metres = words.length();
        metres.ifPresent(this::at);
        return metres.isPresent();
    }

    /** Up and down: stops of light, or a height when it is a length. */
    private boolean more() {
        double sense;
        if (words.take("up", "raise", "higher", "brighter")) {
            sense = 1;
        } else if (words.take("down", "lower", "darker")) {
            sense = -1;
        } else {
            return signedStops();
        }
        words.take("by");
        Optional<Double> metres = words.length();
        if (metres.isPresent()) {
            line.put(about, new Height(round(place().zM() + sense * metres.get())));
            return true;
        }
        double stops = words.stops().orElseThrow(() -> new Refusal("Say by how much: 1 stop, a third, or 20 cm."));
        stopsUp(sense * stops);
        return true;
    }

    private boolean signedStops() {
        if (!words.ahead(1).matches("[+−-].*")) {
            return false;
        }
        Optional<Double> stops = words.stops();
        stops.ifPresent(this::stopsUp);
        return stops.isPresent();
    }

    private void stopsUp(double stops) {
        Lamp lamp = about.piece().lamp();
        if (!about.kind().isLight()) {
            throw new Refusal("%s gives no light of its own.".formatted(about.name()));
        }
        LevelCurve curve = lamp == null ? LevelCurve.LINEAR : lamp.curve();
        double level = line.value(about.key(), Level.class).orElse(Level.FULL).fraction();
        double output = curve.output(level) * Stops.of(stops).ratio();
        if (output > 1 + 1e-9) {
            throw new Refusal("%s at %s has only %s stops to full: it would be short by %s."
                    .formatted(
                            about.name(),
                            new Level(level).say(),
                            curve.headroom(level).inTenths(),
                            Stops.fromRatio(output).inTenths()));
        }
        line.put(
                about,
                new Level(Math.round(Percent.ofFraction(curve.level(Math.min(1, output)))
                                        .value()
                                * 10)
                        / 10.0));
    }

    private boolean moved() {
        if (words.take("height", "lens")) {
            double metres = words.length().orElseThrow(() -> new Refusal("Say how high: 2.1 m."));
            line.put(about, new Height(round(metres)));
            return true;
        }
        if (words.take("closer", "nearer", "in")) {
            at(place().distanceM(target()) - asked());
            return true;
        }
        if (words.take("farther", "further", "back")) {
            at(place().distanceM(target()) + asked());
            return true;
        }
        for (String point : List.of("north", "east", "south", "west")) {
            if (words.take(point)) {
                double bearing = 90 * List.of("north", "east", "south", "west").indexOf(point)
                        + line.recording().set().northDeg();
                put(Direction.of(Bearing.ofDegrees(bearing), 0).from(place(), asked()));
                return true;
            }
        }
        return false;
    }

    private double asked() {
        words.take("by");
        return words.length().orElseThrow(() -> new Refusal("Say how far, with a unit: 40 cm."));
    }

    /** Puts it so far from what it is aimed at, along the floor, at its own height. */
    private void at(double metres) {
        SpacePoint from = place();
        SpacePoint target = target();
        double rise = from.zM() - target.zM();
        if (metres <= Math.abs(rise)) {
            throw new Refusal(Phrase.format(
                    "%s is %s higher or lower than what it is aimed at: it cannot be %s away. Lower it first.",
                    about.name(), Phrase.metres(Math.abs(rise)), Phrase.metres(metres)));
        }
        double across = Math.sqrt(metres * metres - rise * rise);
        if (from.onPlan().distanceM(target.onPlan()) == 0) {
            throw new Refusal(
                    "%s stands right over what it is aimed at: drag it to a side first.".formatted(about.name()));
        }
        Direction way = Direction.between(target.onPlan().at(0), from.onPlan().at(0));
        put(way.from(target.onPlan().at(from.zM()), across));
    }

    private void put(SpacePoint at) {
        boolean outside =
                line.value(about.key(), Place.class).map(Place::outside).orElse(false);
        line.put(about, new Place(round(at.xM()), round(at.yM()), outside));
    }

    private SpacePoint place() {
        return line.value(about.key(), Place.class)
                .flatMap(p ->
                        line.value(about.key(), Height.class).map(h -> p.point().at(h.heightM())))
                .orElseThrow(() -> new Refusal("%s has no place yet: drag it onto the plan.".formatted(about.name())));
    }

    /** The point it is aimed at; without a mark, the first mark on set. */
    private SpacePoint target() {
        RecordedState state = line.state();
        Optional<AimSetting> aim = line.value(about.key(), AimSetting.class);
        String mark = aim.map(AimSetting::mark).orElseGet(() -> line.recording().placements().stream()
                .filter(p -> p.kind() == PlacementKind.MARK)
                .map(Placement::key)
                .filter(state::isOnSet)
                .findFirst()
                .orElse(null));
        if (mark == null) {
            throw new Refusal("There is no mark on set to measure from: place one first.");
        }
        double height = aim.map(AimSetting::heightM)
                .orElseGet(() ->
                        line.value(mark, Height.class).map(Height::heightM).orElse(EYES_M));
        return line.value(mark, Place.class)
                .map(p -> p.point().at(height))
                .orElseThrow(() -> new Refusal("The mark has no place yet: drag it onto the plan."));
    }

    private boolean aimed() {
        if (words.take("beam", "zoom")) {
            line.put(about, new Beam(Bearing.parse(words.take().text()).degrees()));
        } else if (words.take("spot")) {
            line.put(about, new Beam(lamp().optics().spotBeamDeg()));
        } else if (words.take("flood")) {
            line.put(about, new Beam(lamp().optics().floodBeamDeg()));
        } else if (words.take("aim", "face", "point")) {
            words.take("at");
            Optional<Placement> mark = line.mark(words.ahead(1));
            if (mark.isPresent()) {
                words.take();
                line.put(
                        about,
                        AimSetting.atMark(
                                mark.get().key(),
                                line.value(mark.get().key(), Height.class)
                                        .map(Height::heightM)
                                        .orElse(EYES_M)));
            } else {
                String text = words.ahead(words.toBreak());
                words.skip(words.toBreak());
                line.put(about, AimSetting.parse(text));
            }
        } else {
            return false;
        }
        return true;
    }

    /** {@code mirror send sun to streak}: turns a mirror so that it sends a light to a mark, and the light to the mirror. */
    private boolean sent() {
        if (about.kind() != PlacementKind.MIRROR || !words.take("send", "sends")) {
            return false;
        }
        Placement light = line.light(words.ahead(1))
                .orElseThrow(() -> new Refusal("Say which light it sends: send sun to mark 1."));
        words.take();
        words.take("to", "at");
        String named = words.ahead(words.toBreak());
        Placement mark =
                line.mark(named).orElseThrow(() -> new Refusal("Say which mark it goes to: send sun to mark 1."));
        words.skip(words.toBreak());
        SpacePoint mirror = place();
        Direction towards = Direction.between(mirror, new CommandClause(line, light, words).place());
        Direction onwards = Direction.between(mirror, new CommandClause(line, mark, words).place());
        Direction between =
                new Direction(towards.x() + onwards.x(), towards.y() + onwards.y(), towards.z() + onwards.z());
        line.put(about, AimSetting.along(between.bearing().degrees(), between.tiltDeg()));
        line.put(
                light,
                AimSetting.along(
                        towards.opposite().bearing().degrees(),
                        towards.opposite().tiltDeg()));
        return true;
    }

    private Lamp lamp() {
        return Optional.ofNullable(about.piece().lamp())
                .orElseThrow(() -> new Refusal("%s has no beam to focus.".formatted(about.name())));
    }

    /** Gels and cloths on and off, and the frame of the last cloth. */
    private boolean dressed() {
        if (!about.kind().records(Attribute.MODIFIERS)) {
            return false;
        }
        Modifiers stack = line.stack(about);
        if (words.take("clean", "bare")) {
            line.put(about, Modifiers.NONE);
            return true;
        }
        if (words.take("no", "lose", "without", "drop")) {
            StockItem item =
                    line.hung(words).orElseThrow(() -> new Refusal("Say what comes off, by its name: half CTO."));
            Modifier worn = stack.items().stream()
                    .filter(m -> m.name().equalsIgnoreCase(item.name()))
                    .findFirst()
                    .orElseThrow(() -> new Refusal("%s has no %s on.".formatted(about.name(), item.name())));
            List<Modifier> left = new ArrayList<>(stack.items());
            left.remove(worn);
            line.put(about, new Modifiers(left));
            return true;
        }
        if (words.take("frame")) {
            line.put(about, framed(stack));
            return true;
        }
        words.take("add", "with", "through");
        Optional<StockItem> item = line.hung(words);
        item.ifPresent(i -> line.put(about, line.withItem(stack, Modifier.of(i))));
        if (item.isPresent() && words.take("on")) {
            words.take("a");
            if (words.take("frame")) {
                line.put(about, framed(line.stack(about)));
            }
        }
        return item.isPresent();
    }

    private Modifiers framed(Modifiers stack) {
        double width = words.length().orElseThrow(() -> new Refusal("Say how wide the frame is: frame 1.2 m."));
        double distance = words.take("at") ? words.length().orElse(USUAL_FRAME_M) : USUAL_FRAME_M;
        List<Modifier> items = new ArrayList<>(stack.items());
        int cloth = -1;
        for (int i = 0; i < items.size(); i++) {
            cloth = items.get(i).softens() || (cloth < 0 && i == items.size() - 1) ? i : cloth;
        }
        if (cloth < 0) {
            throw new Refusal("%s has nothing to hang on a frame: name the cloth, such as muslin, bleached."
                    .formatted(about.name()));
        }
        Modifier m = items.get(cloth);
        double kept = m.frameDistanceM() == null ? distance : m.frameDistanceM();
        items.set(cloth, m.framed(width, kept));
        return new Modifiers(items);
    }

    private boolean dialled() {
        if (!words.take("tint")) {
            return false;
        }
        String text = words.ahead(2).toLowerCase(Locale.ROOT);
        boolean named = text.endsWith(" green") || text.endsWith(" magenta");
        words.skip(named ? 2 : 1);
        line.put(about, Tint.parse(text.split(" ")[0]));
        return true;
    }

    private boolean camera() {
        if (about.kind() != PlacementKind.CAMERA) {
            return false;
        }
        String one = words.ahead(1);
        String two = words.ahead(2);
        if (one.matches("t\\d.*")) {
            boolean thirds = two.matches("t\\S+ (\\d/\\d|[⅓⅔]|plus|minus)");
            words.skip(thirds ? 2 : 1);
            line.put(about, Stop.parse(thirds ? two : one));
        } else if (words.take("stop")) {
            line.put(about, Stop.parse(words.take().text()));
        } else if (words.take("iso", "ei")) {
            line.put(about, Speed.parse(words.take().text()));
        } else if (one.matches("1/\\d+s?") || one.matches("[\\d.]+°")) {
            words.skip(1);
            line.put(about, Shutter.parse(one));
        } else if (words.take("white")) {
            String kelvin = words.take().text();
            String tint =
                    words.ahead(1).matches("[+−-][\\d.]+") ? " " + words.take().text() : "";
            line.put(about, White.parse(kelvin + tint));
        } else if (words.take("nd")) {
            line.put(about, LensNd.parse(words.take().text()));
        } else if (words.take("clear")) {
            line.put(about, new LensNd(0));
        } else if (two.matches("[\\d.]+ mm") || one.matches("[\\d.]+mm")) {
            words.skip(one.endsWith("mm") ? 1 : 2);
            line.put(about, Lens.parse(one.endsWith("mm") ? one : two));
        } else {
            return false;
        }
        return true;
    }

    private static double round(double metres) {
        return Math.round(metres * PER_METRE) / PER_METRE;
    }
}
