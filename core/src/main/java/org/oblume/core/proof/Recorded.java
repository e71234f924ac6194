package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.LookState;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.exposure.Exposure;
import org.oblume.core.filter.StockItem;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Refusal;

/** A shot's light as it is recorded, and what its lights would bring to the probes if something were otherwise. */
public final class Recorded {

    private final SetPlan set;
    private final List<Placement> placements;
    private final RecordedState state;
    private final Map<String, Calibration> calibrations;
    private final List<StockItem> stock;
    private final List<Probe> probes;
    private final List<Change> values;
    private final ShotLighting light;
    private final double[][][] brought;

    /**
     * @param calibrations of placements against the meter, by key
     * @param stock that the crew could have hung
     */
    public Recorded(
            SetPlan set,
            List<Placement> placements,
            RecordedState state,
            Map<String, Calibration> calibrations,
            List<StockItem> stock) {
        this.set = set;
        this.placements = List.copyOf(placements);
        this.state = state;
        this.calibrations = Map.copyOf(calibrations);
        this.stock = List.copyOf(stock);
        this.values = values(state);
        this.light = ShotLighting.of(set, placements, state, Set.of(), calibrations);
        this.probes = light.marks().stream()
                .flatMap(m -> Stream.concat(
                        Stream.of(Probe.Way.values())
                                .filter(way -> way != Probe.Way.TO_ONE_OF_ALL)
                                .map(way -> new Probe(m.key(), way)),
                        Probe.toKey(light, m.key()).stream()))
                .toList();
        this.brought = brought(light);
    }

    /** Whether what a light brings was metered, and is predicted by it. */
    boolean isMetered(String light) {
        return calibrations.containsKey(light);
    }

    /** All that is recorded. */
    public static List<Change> values(RecordedState state) {
        List<Change> values = new ArrayList<>();
        for (String key : state.placements()) {
            for (Attribute attribute : Attribute.values()) {
                state.value(key, attribute).ifPresent(v -> values.add(new Change(key, v)));
            }
        }
        return values;
    }

    /** Keys of the marks on set. */
    public List<String> marks() {
        return light.marks().stream().map(MarkLight::key).toList();
    }

    /** Where meters can be held: each way at each mark. */
    public List<Probe> probes() {
        return probes;
    }

    /** The lights that are on, in the scene's order. */
    public List<Placement> lights() {
        return light.lights();
    }

    ShotLighting light() {
        return light;
    }

    /** The camera's exposure; empty until it is recorded. */
    public Optional<Exposure> camera() {
        return light.metering().map(ShotLighting.Metering::exposure);
    }

    /** What stands on set and gives no light: boards, flags, frames, nets. */
    List<Placement> grip() {
        return placements.stream()
                .filter(p -> p.kind().isGrip() && state.isOnSet(p.key()))
                .toList();
    }

    List<StockItem> stock() {
        return stock;
    }

    RecordedState state() {
        return state;
    }

    <V extends AttributeValue> Optional<V> value(Placement of, Class<V> type) {
        return state.value(of.key(), type);
    }

    Modifiers modifiers(Placement of) {
        return value(of, Modifiers.class).orElse(Modifiers.NONE);
    }

    /** What each light brings to each probe, by channel. */
    double[][][] brought() {
        return brought;
    }

    /**
     * What one light would bring to each probe.
     *
     * @return empty when it could not be so: outside what the light can do, or where it cannot stand
     */
    Optional<double[][]> of(int index, AttributeValue... otherwise) {
        String key = lights().get(index).key();
        Set<String> others = lights().stream()
                .map(Placement::key)
                .filter(k -> !k.equals(key))
                .collect(Collectors.toSet());
        try {
            return Optional.of(brought(
                    lighting(Stream.of(otherwise).map(v -> new Change(key, v)).toList(), others))[index]);
        } catch (Refusal cannotBe) {
            return Optional.empty();
        }
    }

    /**
     * What all lights would bring, by index, if a piece of grip were otherwise.
     *
     * @return empty when it could not be so
     */
    Optional<Map<Integer, double[][]>> with(Placement grip, AttributeValue... otherwise) {
        double[][][] all;
        try {
            all = brought(lighting(
                    Stream.of(otherwise).map(v -> new Change(grip.key(), v)).toList(), Set.of()));
        } catch (Refusal cannotBe) {
            return Optional.empty();
        }
        Map<Integer, double[][]> rows = new LinkedHashMap<>();
        for (int i = 0; i < all.length; i++) {
            rows.put(i, all[i]);
        }
        return Optional.of(rows);
    }

    private ShotLighting lighting(List<Change> otherwise, Set<String> out) {
        List<Change> all = new ArrayList<>(values);
        all.addAll(otherwise);
        return ShotLighting.of(set, placements, new LookState("otherwise", all), out, calibrations);
    }

    /** Its light with all of these values, whatever is recorded. */
    ShotLighting as(List<Change> all) {
        return ShotLighting.of(set, placements, new LookState("there", all), Set.of(), calibrations);
    }

    /** A thing of the scene by its key. */
    public Placement placement(String key) {
        return placements.stream().filter(p -> p.key().equals(key)).findFirst().orElseThrow();
    }

    private double[][][] brought(ShotLighting by) {
        double[][][] rows = new double[lights().size()][probes.size()][ConeLight.CHANNELS];
        List<String> keys = lights().stream().map(Placement::key).toList();
        for (int p = 0; p < probes.size(); p++) {
            List<double[]> each = probes.get(p).brought(by);
            for (int i = 0; i < each.size(); i++) {
                rows[keys.indexOf(by.lights().get(i).key())][p] = each.get(i);
            }
        }
        return rows;
    }
}
