package org.oblume.core.say;

import java.util.Optional;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Optics;
import org.oblume.core.units.Refusal;

/** How wide a light is focused: spot, flood, {@code beam 30°}, wider and tighter. */
final class BeamWords implements PhraseParser {

    @Override
    public boolean read(Clause clause) {
        Words words = clause.words();
        words.pass("to", "go");
        if (words.takeAny("full spot", "spot")) {
            words.pass("it", "in", "right", "down");
            words.take("in");
            focus(clause, optics(clause).spotBeamDeg());
            return true;
        }
        if (words.takeAny("full flood", "flood")) {
            words.pass("it", "right", "out");
            focus(clause, optics(clause).floodBeamDeg());
            return true;
        }
        if (words.take("beam", "zoom")) {
            words.pass("to", "at", "in", "out", "of");
            focus(clause, degrees(words).value());
            return true;
        }
        int start = words.at();
        Optional<Amount> before = Figures.amount(words);
        if (before.isEmpty()) {
            words.back(start);
        } else if (before.get().is(Amount.Unit.DEGREES) && words.take("beam", "wide")) {
            focus(clause, before.get().value());
            return true;
        }
        int sense = words.take("widen", "wider") ? 1 : words.take("tighten", "tighter", "narrower", "narrow") ? -1 : 0;
        if (sense == 0) {
            return false;
        }
        words.pass("it", "by", "the", "beam", "up");
        Amount by = before.orElseGet(() -> degrees(words));
        double now = clause.draft()
                .value(clause.about().key(), Beam.class)
                .map(Beam::beamDeg)
                .orElse(optics(clause).floodBeamDeg());
        focus(clause, now + sense * by.or(5, 2));
        return true;
    }

    private static Amount degrees(Words words) {
        return Figures.amount(words)
                .filter(a -> a.is(Amount.Unit.DEGREES) || a.is(Amount.Unit.BARE) || a.isNamed())
                .orElseThrow(() -> new Refusal("Say how wide, in degrees: beam 30."));
    }

    private static Optics optics(Clause clause) {
        return clause.lamp()
                .orElseThrow(() -> new Refusal("%s has no beam to focus.".formatted(clause.name())))
                .optics();
    }

    private static void focus(Clause clause, double degrees) {
        Optics optics = optics(clause);
        double narrow = Math.min(optics.spotBeamDeg(), optics.floodBeamDeg());
        double wide = Math.max(optics.spotBeamDeg(), optics.floodBeamDeg());
        if (narrow == wide) {
            throw new Refusal("%s has no focus: its beam is %s.".formatted(clause.name(), new Beam(wide).say()));
        }
        if (degrees < narrow - 1e-9 || degrees > wide + 1e-9) {
            throw new Refusal("%s is focused from %s to %s: %s is the nearest."
                    .formatted(
                            clause.name(),
                            new Beam(narrow).say(),
                            new Beam(wide).say(),
                            new Beam(degrees < narrow ? narrow : wide).say()));
        }
        clause.draft().put(clause.about(), new Beam(degrees));
    }
}
