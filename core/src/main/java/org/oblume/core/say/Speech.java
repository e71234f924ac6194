package org.oblume.core.say;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.geometry.Landmark;

/** What words can mean in a shot: names of what is placed, of landmarks, of the stock. */
final class Speech {

    /** Words that say nothing. */
    static final Set<String> FILLERS = Set.of(
            "please", "thanks", "thank", "you", "ta", "okay", "ok", "um", "uh", "er", "so", "just", "now", "can",
            "could", "we", "get", "let's", "need", "want", "we're", "i'd", "like", "give", "me", "go", "make", "set",
            "put", "have", "bring", "take", "the", "a", "an", "some", "my", "our", "of", "is", "are", "with", "and",
            "then", "would");

    private static final Set<String> OF_THE_GRAMMAR = Set.of(
            ("up down hotter brighter more lift plus another less lower under darker minus off knock drop double halve full half power on out kill lose save turn switch kick no back strike gone pull "
                            + "daylight tungsten warm warmer cool cooler tint green magenta hue red orange yellow amber cyan blue white saturation fire flame candle flicker tv television lightning flash strobe pulse faulty bad passing "
                            + "steady stop stops flickering every once twice times add hang through in gel swap change for instead clean bare strip frame bottom top left right spot flood beam zoom widen tighten wider tighter narrower "
                            + "closer forward nearer walk push farther further away camera towards north east south west round around degrees from at to height high higher raise hold level aim point swing pan tilt bearing face universe address patch "
                            + "wireless wired app by hand sixteen eight bit iso shutter mil lens nd open close note take circle lock unlock mark as lit shot planned undo redo scratch that it place new called everything all lights lot but except apart "
                            + "not don't isn't never too very hot bright dark so if outside inside send sends move slide shift remove without replace dim rate fps speed effect second rotate come onto front")
                    .split(" "));

    private final SceneRecord scene;
    private final Names names;
    private final StockNames stock;
    private final Set<String> vocabulary = new HashSet<>();

    Speech(SceneRecord scene, RecordedState state, StockNames stock) {
        this.scene = scene.in(state);
        this.names = new Names(this.scene.placements());
        this.stock = stock;
        vocabulary.addAll(FILLERS);
        vocabulary.addAll(OF_THE_GRAMMAR);
        vocabulary.addAll(Figures.VOCABULARY);
        vocabulary.addAll(stock.vocabulary());
        vocabulary.addAll(names.vocabulary());
        landmarks()
                .forEach(l -> vocabulary.addAll(
                        Set.of(l.name().toLowerCase(Locale.ROOT).split(" "))));
    }

    Names names() {
        return names;
    }

    StockNames stock() {
        return stock;
    }

    Set<String> vocabulary() {
        return vocabulary;
    }

    List<Landmark> landmarks() {
        return scene.set().landmarks();
    }

    /** The landmark with the longest name from here on, taken from the words. */
    Optional<Landmark> landmark(Words words) {
        int start = words.at();
        words.article();
        Optional<Landmark> found = landmarks().stream()
                .filter(l ->
                        words.ahead(l.name().split(" ").length).equals(l.name().toLowerCase(Locale.ROOT)))
                .max((a, b) -> a.name().length() - b.name().length());
        if (found.isPresent()) {
            words.skip(found.get().name().split(" ").length);
        } else {
            words.back(start);
        }
        return found;
    }

    /** Words of the grammar that are near one that was not understood. */
    List<String> near(String word) {
        Set<String> all = new HashSet<>(OF_THE_GRAMMAR);
        all.removeIf(w -> w.length() < 2);
        return Slips.nearest(word, all.stream().sorted().toList());
    }
}
