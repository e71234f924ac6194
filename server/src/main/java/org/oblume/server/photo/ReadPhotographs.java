package org.oblume.server.photo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photo.Frame;
import org.oblume.core.photo.PhotoAim;
import org.oblume.core.photo.PhotoFix.Mark;
import org.oblume.core.photo.PhotoFix.Photo;
import org.oblume.core.photo.PhotoFix.Target;
import org.oblume.core.photo.PhotoFix.TargetTap;
import org.oblume.core.photo.PhotoSurvey;
import org.oblume.core.photo.PhotoSurvey.Found;
import org.oblume.core.photo.Tap;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Placement;
import org.oblume.server.note.ShotPhoto;
import org.oblume.server.photo.SurveyView.TappedPoint;

/**
 * The photographs of one round, read against a scene as it is recorded or as it is rebuilt.
 *
 * @param state what holds there
 * @param photos with what is tapped in them, the oldest first
 * @param known landmarks of the set whose height is known, by name
 * @param survey targets are the things, what they point at, and the landmarks that are not known, in this order
 * @param things on set, by key
 * @param aims the spots that things point at, by their keys
 * @param unknown landmarks that are drawn without a height or not at all, by name
 */
record ReadPhotographs(
        SceneRecord scene,
        ShotState state,
        List<TappedIn> photos,
        Map<String, SpacePoint> known,
        PhotoSurvey survey,
        Map<String, Found> things,
        Map<String, Found> aims,
        Map<String, Found> unknown) {

    /** @param kept what was tapped, or null while nothing was */
    record TappedIn(ShotPhoto photo, @Nullable PhotoTapsEntity kept, List<TappedPoint> taps) {

        Frame frame() {
            return new Frame((int) photo.widthPx(), (int) photo.heightPx(), photo.focal35());
        }

        @Nullable
        PlanPoint stood() {
            return kept == null ? null : kept.stood();
        }

        private PhotoSurvey.Tapped asked() {
            List<Mark> marks = taps.stream()
                    .flatMap(t -> t.landmark() == null
                            ? Stream.empty()
                            : Stream.of(new Mark(t.landmark(), new Tap(t.u(), t.v()))))
                    .toList();
            return new PhotoSurvey.Tapped(new Photo(frame(), marks), stood());
        }
    }

    static ReadPhotographs of(SceneRecord scene, ShotState state, List<TappedIn> photos, KnownPoses poses) {
        Map<String, SpacePoint> known = new LinkedHashMap<>();
        Set<String> open = new LinkedHashSet<>();
        for (Landmark landmark : scene.set().landmarks()) {
            if (landmark.heightM() == null) {
                open.add(landmark.name());
            } else {
                known.put(landmark.name(), landmark.point().at(landmark.heightM()));
            }
        }
        photos.stream()
                .flatMap(p -> p.taps.stream())
                .flatMap(t -> Optional.ofNullable(t.landmark()).stream())
                .filter(name -> !known.containsKey(name))
                .forEach(open::add);
        List<Placement> onSet = scene.placements().stream()
                .filter(p -> p.kind().isThing() && state.isOnSet(p.key()))
                .toList();
        List<Target> targets = new ArrayList<>();
        for (Placement thing : onSet) {
            Double heightM =
                    state.value(thing.key(), Height.class).map(Height::heightM).orElse(null);
            targets.add(new Target(thing.name(), taps(photos, t -> thing.key().equals(t.placement())), heightM));
        }
        List<Placement> aiming =
                onSet.stream().filter(p -> p.kind().records(Attribute.AIM)).toList();
        for (Placement thing : aiming) {
            targets.add(new Target(
                    "What %s points at".formatted(thing.name()),
                    taps(photos, t -> thing.key().equals(t.aimOf())),
                    null));
        }
        for (String name : open) {
            targets.add(new Target(name, taps(photos, t -> name.equals(t.landmark())), null));
        }
        PhotoSurvey survey = PhotoSurvey.of(
                photos.stream().map(p -> poses.of(p.asked(), known)).toList(), targets);
        int after = onSet.size() + aiming.size();
        return new ReadPhotographs(
                scene,
                state,
                photos,
                known,
                survey,
                named(keys(onSet), survey.found().subList(0, onSet.size())),
                named(keys(aiming), survey.found().subList(onSet.size(), after)),
                named(
                        List.copyOf(open),
                        survey.found().subList(after, survey.found().size())));
    }

    private static List<String> keys(List<Placement> things) {
        return things.stream().map(Placement::key).toList();
    }

    private static Map<String, Found> named(List<String> names, List<Found> found) {
        Map<String, Found> all = new LinkedHashMap<>();
        for (int i = 0; i < names.size(); i++) {
            all.put(names.get(i), found.get(i));
        }
        return all;
    }

    private static List<TargetTap> taps(List<TappedIn> photos, Predicate<TappedPoint> of) {
        return IntStream.range(0, photos.size())
                .boxed()
                .flatMap(i -> photos.get(i).taps.stream().filter(of).map(t -> new TargetTap(i, new Tap(t.u(), t.v()))))
                .toList();
    }

    /** Which way a thing points; empty while its place or the spot is not told. */
    Optional<PhotoAim> aim(String key) {
        Found from = things.get(key);
        Found to = aims.get(key);
        return from == null || to == null || from.point() == null || to.point() == null
                ? Optional.empty()
                : PhotoAim.of(from.point(), to.point());
    }

    Optional<Landmark> drawn(String name) {
        return scene.set().landmarks().stream()
                .filter(l -> l.name().equals(name))
                .findFirst();
    }

    /** The landmarks that tell where the photographs of a target were taken from, where they are drawn. */
    List<Landmark> landmarksOf(Found found) {
        Set<String> used = Set.copyOf(survey.landmarksOf(found.target(), known.keySet()));
        return scene.set().landmarks().stream()
                .filter(l -> used.contains(l.name()))
                .toList();
    }

    /** What could be tapped in a photograph and is not, where it would be. */
    List<TappedPoint> expected(int photo) {
        PhotoSurvey.Taken taken = survey.photos().get(photo);
        Map<TappedPoint, SpacePoint> open = new LinkedHashMap<>();
        known.forEach((name, at) -> open.put(new TappedPoint(name, null, null, 0, 0), at));
        things.keySet().forEach(key -> state.position(key)
                .ifPresent(at -> open.put(new TappedPoint(null, key, null, 0, 0), at)));
        photos.get(photo).taps.forEach(tapped -> open.keySet().removeIf(tapped::isOf));
        return open.entrySet().stream()
                .flatMap(e -> taken.sees(e.getValue()).stream()
                        .map(t -> new TappedPoint(
                                e.getKey().landmark(), e.getKey().placement(), null, t.u(), t.v())))
                .toList();
    }
}
