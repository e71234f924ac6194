package org.oblume.core.proof;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Surface;

/** Rooms in which six lights burn through cloth and gel, and rebuilds are proved. */
final class ProofRooms {

    static final int COUNT = 4;

    /** White correction, tints and cloths that ship: all of one kind may be taken for another. */
    static final List<StockItem> STOCK = shipped();

    private ProofRooms() {}

    private static List<StockItem> shipped() {
        try (var lines = Files.lines(Path.of("../server/src/main/resources/kit/stock.csv"))) {
            return lines.skip(1)
                    .map(l -> l.replace(", ", " / ").replace("\"", "").split(",", -1))
                    .filter(f -> List.of("CORRECTION", "TINT", "DIFFUSION").contains(f[1]))
                    .map(f -> new StockItem(
                            f[0].replace(" / ", ", "),
                            StockKind.valueOf(f[1]),
                            FilterEffect.of(figure(f[3]), figure(f[2]), figure(f[4])),
                            figure(f[5]),
                            null,
                            null,
                            null))
                    .toList();
        } catch (IOException noStock) {
            throw new UncheckedIOException(noStock);
        }
    }

    private static double figure(String text) {
        return text.isEmpty() ? 0 : Double.parseDouble(text);
    }

    static Modifier hung(String name) {
        return Modifier.of(
                STOCK.stream().filter(s -> s.name().equals(name)).findFirst().orElseThrow());
    }

    /**
     * @param number 1 a grey room, 2 a white one, 3 a black stage, 4 a grey one with a darker floor
     */
    static Stage room(int number) {
        Stage room =
                switch (number) {
                    case 1 -> Stage.room(3.6, Surface.grey(0.35), Surface.grey(0.5));
                    case 2 -> Stage.room(3.4, Surface.grey(0.75), Surface.grey(0.8));
                    case 3 -> Stage.room(null, Surface.grey(0.04), Surface.grey(0.04));
                    case 4 ->
                        Stage.room(3.2, Surface.grey(0.5), Surface.grey(0.7)).withFloor(Surface.grey(0.25));
                    default -> throw new IllegalArgumentException("There are rooms 1 to %d.".formatted(COUNT));
                };
        room.camera(0.6, 4)
                .head(
                        "key",
                        Role.KEY,
                        LevelCurve.SQUARE,
                        2.2,
                        2.4,
                        2.2,
                        hung("Half grid cloth").framed(1.2, 0.5))
                .head(
                        "fill",
                        Role.FILL,
                        -2.6,
                        2.0,
                        1.8,
                        hung("Muslin, bleached").framed(1.2, 0.4))
                .head("edge", Role.EDGE, LevelCurve.LINEAR, -1.8, -2.4, 2.5, hung("Quarter CTO"))
                .head("kicker", Role.EDGE, LevelCurve.SQUARE, 2.4, -1.6, 1.6, hung("Quarter CTB"))
                .head("wall", Role.BACKGROUND, 1.6, -3.2, 2.3, hung("Half CTO"))
                .head("top", Role.AMBIENCE, 0.2, 0.3, 3.1, hung("Quarter plus green"))
                .tie("wall", AimSetting.along(180, -20))
                .tie("top", AimSetting.along(0, -90))
                .grip("overhead", PlacementKind.FRAME, 2.4, 2.4, null, 0, 0, 2.6, 0, -90, hung("Half grid cloth"));
        double[] levels = {70, 35, 45, 40, 60, 30};
        double[] kelvins = {5600, 5000, 4300, 5600, 3200, 5600};
        String[] keys = {"key", "fill", "edge", "kicker", "wall", "top"};
        for (int i = 0; i < keys.length; i++) {
            room.tie(keys[i], new Level(levels[i])).tie(keys[i], new ColourTemperature(kelvins[i]));
        }
        return room;
    }

    /**
     * The same with more lights in a ring about the mark.
     *
     * @param lights 6 or more
     */
    private static Stage room(int number, int lights) {
        Stage room = room(number);
        for (int i = 6; i < lights; i++) {
            double turn = 2 * Math.PI * i / lights;
            String key = "more-" + i;
            room.head(
                            key,
                            Role.FILL,
                            LevelCurve.LINEAR,
                            2.8 * Math.cos(turn),
                            2.8 * Math.sin(turn),
                            2 + i % 3 * 0.2,
                            hung("Quarter CTO"))
                    .tie(key, new Level(20))
                    .tie(key, new ColourTemperature(4300));
        }
        return room;
    }

    static Recorded recorded(int number) {
        return recorded(number, 6);
    }

    static Recorded recorded(int number, int lights) {
        Stage room = room(number, lights);
        return new Recorded(room.set(), room.placements(), room.state(), Map.of(), STOCK);
    }
}
