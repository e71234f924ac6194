package org.oblume.core.say;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.oblume.core.network.Mode;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Patch;
import org.oblume.core.units.Refusal;

/** Where a light listens: {@code on universe 1 at 101}, {@code patch 1/101}, <em>sixteen bit</em>, <em>wireless</em>, <em>by hand</em>. */
final class PatchWords implements PhraseParser {

    @Override
    public boolean read(Clause clause) {
        if (!clause.about().kind().records(Attribute.PATCH)) {
            return false;
        }
        return PhraseParser.any(clause, PatchWords::way, PatchWords::address, PatchWords::mode);
    }

    private static Patch now(Clause clause) {
        return clause.draft().value(clause.about().key(), Patch.class).orElse(Patch.BY_HAND);
    }

    private static boolean way(Clause clause) {
        Words words = clause.words();
        words.pass("on", "to", "go", "the");
        Patch now = now(clause);
        if (words.takeAny("wireless", "by wireless")) {
            put(clause, new Patch(now.universe(), now.address(), now.slots(), now.mode(), ControlPath.WIRELESS, null));
        } else if (words.takeAny("wired", "by wire", "by cable")) {
            put(clause, new Patch(now.universe(), now.address(), now.slots(), now.mode(), ControlPath.WIRED, null));
        } else if (words.takeAny("app", "by app")) {
            put(clause, new Patch(null, null, now.slots(), now.mode(), ControlPath.APP, now.group()));
        } else if (words.takeAny("by hand", "hand")) {
            put(clause, new Patch(null, null, now.slots(), now.mode(), null, null));
        } else {
            return false;
        }
        return true;
    }

    private static void put(Clause clause, Patch patch) {
        clause.draft().put(clause.about(), patch);
    }

    private static boolean address(Clause clause) {
        Words words = clause.words();
        words.pass("on", "at", "to", "in");
        Integer universe = null;
        Integer address = null;
        if (words.take("patch", "patched")) {
            words.pass("to", "at");
            Optional<int[]> both = pair(words);
            if (both.isPresent()) {
                universe = both.get()[0];
                address = both.get()[1];
            }
        }
        if (universe == null && words.take("universe", "uni")) {
            universe = whole(words, "Say which universe, 1 to 63999.");
            words.pass("at", ",", "and", "from");
            boolean named = words.take("address", "slot", "channel");
            words.take("at");
            Optional<Integer> number = Figures.whole(words);
            if (number.isEmpty() && named) {
                throw new Refusal("Say which address, 1 to 512.");
            }
            address = number.orElse(null);
        } else if (universe == null && words.take("address")) {
            words.take("at");
            address = whole(words, "Say which address, 1 to 512.");
        } else if (universe == null) {
            return false;
        }
        Patch now = now(clause);
        Integer inUniverse = universe != null ? universe : now.universe();
        Integer at = address != null ? address : now.address();
        int slots = now.slots() != null ? now.slots() : 1;
        if (at != null && at + slots - 1 > Patch.LAST_ADDRESS) {
            throw new Refusal("%s takes %d slots: from %d they end past 512. %d is the last start that fits."
                    .formatted(clause.name(), slots, at, Patch.LAST_ADDRESS + 1 - slots));
        }
        ControlPath path = now.path() != null && now.path().isNetwork() ? now.path() : null;
        put(clause, new Patch(inUniverse, at, now.slots(), now.mode(), path, null));
        return true;
    }

    private static int whole(Words words, String missing) {
        return Figures.whole(words).orElseThrow(() -> new Refusal(missing));
    }

    /** {@code 1/101}. */
    private static Optional<int[]> pair(Words words) {
        String[] two = words.peek().split("/");
        if (two.length == 2 && words.peek().matches("\\d+/\\d+")) {
            words.skip(1);
            return Optional.of(new int[] {Integer.parseInt(two[0]), Integer.parseInt(two[1])});
        }
        return Optional.empty();
    }

    /** <em>Sixteen bit</em>, or the name of a mode: the fixture's mode that begins so. */
    private static boolean mode(Clause clause) {
        Words words = clause.words();
        words.pass("in", "to", "mode");
        List<Mode> modes = Mode.of(clause.about().piece());
        for (int count = 4; count > 0; count--) {
            String said = words.ahead(count)
                    .replaceFirst("^sixteen\\b", "16")
                    .replaceFirst("^eight\\b", "8")
                    .replaceFirst("^(\\d+) bit", "$1-bit");
            Optional<Mode> mode = said.length() < 3 || said.split(" ").length + (said.contains("-bit") ? 1 : 0) != count
                    ? Optional.empty()
                    : modes.stream().filter(m -> isCalled(m, said)).findFirst();
            if (mode.isPresent()) {
                words.skip(count);
                words.take("mode");
                Patch now = now(clause);
                put(clause, now.in(mode.get().name(), mode.get().slots()));
                return true;
            }
        }
        if (words.peek().matches("sixteen|16|eight|8") && words.peek(1).equals("bit")) {
            throw new Refusal("%s has no such mode. It has: %s."
                    .formatted(
                            clause.name(),
                            modes.isEmpty()
                                    ? "none that is known"
                                    : String.join(
                                            ", ", modes.stream().map(Mode::name).toList())));
        }
        return false;
    }

    private static boolean isCalled(Mode mode, String said) {
        String name = mode.name().toLowerCase(Locale.ROOT);
        return name.equals(said) || (said.endsWith("-bit") && name.startsWith(said));
    }
}
