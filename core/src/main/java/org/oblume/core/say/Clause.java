package org.oblume.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/** What is said of one thing. Each {@link PhraseParser} takes what it understands; a new way to say something is a new one in the list. */
final class Clause {

    private static final PhraseParser[] PARSERS = {
        new ConditionWords(),
        new GelWords(),
        new CameraWords(),
        new PatchWords(),
        new FeedWords(),
        new EffectWords(),
        new WhiteWords(),
        new HueWords(),
        new BeamWords(),
        new TapeWords(),
        new AimWords(),
        new MoveWords(),
        new LevelWords(),
        new MoreOrLess(),
        new StandingWords()
    };

    /** What the clause is about, once it is named. */
    private static final Set<String> PRONOUNS = Set.of("it", "that", "them");

    private final Words words;
    private final Placement about;
    private final Draft draft;
    private final Speech speech;

    Clause(Words words, Placement about, Draft draft, Speech speech) {
        this.words = words;
        this.about = about;
        this.draft = draft;
        this.speech = speech;
    }

    /**
     * Takes all of the words.
     *
     * @throws NotUnderstood at the first word that means nothing here, or that says what cannot be
     * @throws AskedBack at the first that could be more than one thing
     */
    void read() {
        boolean anything = false;
        while (!words.done()) {
            int start = words.at();
            try {
                if (PhraseParser.any(this, PARSERS)) {
                    anything = true;
                    continue;
                }
            } catch (Refusal refused) {
                throw new NotUnderstood(at(start), refused.phrase(), offered());
            }
            Words.Word word = words.take();
            if (!word.isBreak() && !Speech.FILLERS.contains(word.text()) && !PRONOUNS.contains(word.text())) {
                words.back(start);
                throw unknown(word, start);
            }
        }
        if (!anything) {
            Words.Word last =
                    words.all().isEmpty() ? null : words.all().get(words.all().size() - 1);
            throw new NotUnderstood(
                    last,
                    Phrase.of("Say what changes on %s.".formatted(about.name())),
                    List.of("45%", "down 1 stop", "off"));
        }
    }

    private Words.Word at(int index) {
        return words.all().get(Math.min(index, words.all().size() - 1));
    }

    private List<String> offered() {
        return about.kind().isLight() ? List.of() : others();
    }

    /** Lights that share a word of the name of something that gives none. */
    private List<String> others() {
        return List.of(about.name().split(" ")).stream()
                .flatMap(w -> speech.names().having(w.toLowerCase(Locale.ROOT)).stream())
                .filter(p -> p.kind().isLight())
                .map(Placement::name)
                .distinct()
                .toList();
    }

    private NotUnderstood unknown(Words.Word word, int index) {
        String next =
                index + 1 < words.all().size() ? words.all().get(index + 1).text() : "";
        boolean known = !next.matches("\\p{L}+") || speech.vocabulary().contains(next);
        if (!known && !word.text().matches("\\p{L}+")) {
            return unknown(words.all().get(index + 1), index + 1);
        }
        if (index == 0 && word.text().matches("\\d+")) {
            String alike = speech.names().things().stream()
                    .filter(p -> p.name().split(" ")[0].equals(about.name().split(" ")[0]))
                    .map(Placement::name)
                    .collect(Collectors.joining(", "));
            return new NotUnderstood(
                    word,
                    Phrase.of("%s of what? There is %s, and no other of that name.".formatted(word.text(), alike)),
                    List.of());
        }
        List<String> near = new ArrayList<>(speech.stock().near(word.text()));
        near.addAll(speech.near(word.text()));
        return new NotUnderstood(
                word,
                Phrase.of("“%s” is not understood for %s.".formatted(word.text(), about.name())),
                near.stream().distinct().limit(4).toList());
    }

    Words words() {
        return words;
    }

    Placement about() {
        return about;
    }

    Draft draft() {
        return draft;
    }

    Speech speech() {
        return speech;
    }

    String name() {
        return about.name();
    }

    boolean isLight() {
        return about.kind().isLight();
    }

    boolean isCamera() {
        return about.kind() == PlacementKind.CAMERA;
    }

    boolean isMark() {
        return about.kind() == PlacementKind.MARK;
    }

    Optional<Lamp> lamp() {
        return Optional.ofNullable(about.piece().lamp());
    }

    /** @throws Refusal when it gives no light of its own */
    void requireLight() {
        if (!isLight()) {
            List<String> others = others();
            throw new Refusal("%s gives no light of its own.%s"
                    .formatted(
                            name(),
                            others.isEmpty() ? "" : " Say the light: %s.".formatted(String.join(", ", others))));
        }
    }

    /** Asks which of these names was meant by the words from there to here; a name is said without its comma. */
    AskedBack ask(int from, String sentence, List<String> candidates) {
        return ask(
                words,
                from,
                sentence,
                candidates,
                candidates.stream().map(c -> c.replace(",", "")).toList());
    }

    /** Asks which of these things was meant by the words from there to here. */
    static AskedBack which(Words words, int from, String sentence, List<Placement> things) {
        return ask(
                words,
                from,
                sentence,
                things.stream().map(Placement::key).toList(),
                things.stream().map(Placement::name).toList());
    }

    /** @param said what each would be said as, in the place of those words */
    static AskedBack ask(Words words, int from, String sentence, List<String> candidates, List<String> said) {
        Words.Word first = words.all().get(Math.min(from, words.all().size() - 1));
        Words.Word last = words.all().get(Math.max(Math.min(from, words.all().size() - 1), words.at() - 1));
        return new AskedBack(new ParsedCommand.Ask(first.from(), last.to(), "", sentence, candidates, said));
    }
}
