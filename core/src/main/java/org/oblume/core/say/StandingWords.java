package org.oblume.core.say;

import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Refusal;

/** On, off, struck, held, and on which side of the walls. */
final class StandingWords implements PhraseParser {

    private static final SetStatus OFF = new SetStatus(SetStatus.State.OFF);

    @Override
    public boolean read(Clause clause) {
        Words words = clause.words();
        if (words.take("hold", "held")) {
            words.takeAny("the level", "level", "it");
            clause.draft().hold(clause.about());
            return true;
        }
        if (words.peek().equals("outside") || words.peek().equals("inside")) {
            side(clause, words.take().text().equals("outside"));
            return true;
        }
        if (words.take("strike", "struck", "gone")) {
            put(clause, SetStatus.STRUCK);
            return true;
        }
        int start = words.at();
        if (words.take("turn", "switch", "bring", "come", "go", "take", "pull", "put")) {
            words.take("back", "it");
            boolean switched = words.all().get(start).text().matches("turn|switch");
            boolean ends = words.peek(1).isEmpty() || words.peek(1).matches("[,;]|and|then");
            if (!words.peek().matches("on|off|out") || (!switched && !ends)) {
                return words.all().get(start).text().equals("pull") && pulled(clause, start);
            }
        }
        if (words.takeAny("back on", "on")) {
            put(clause, SetStatus.ON);
            return true;
        }
        if (words.take("off", "out", "kill", "lose", "save", "no")) {
            words.take("off", "out");
            off(clause);
            return true;
        }
        if (words.take("drop")) {
            throw new Refusal("Drop it by how much? Say stops or a length, or say off.");
        }
        return false;
    }

    private static boolean pulled(Clause clause, int start) {
        clause.words().back(start + 1);
        if (!isGrip(clause) || !clause.words().endsClause()) {
            return false;
        }
        put(clause, SetStatus.STRUCK);
        return true;
    }

    private static boolean isGrip(Clause clause) {
        PlacementKind kind = clause.about().kind();
        return kind.isGrip() || kind == PlacementKind.MARK;
    }

    private static void off(Clause clause) {
        if (clause.isLight() || clause.about().kind() == PlacementKind.DAYLIGHT) {
            put(clause, OFF);
        } else if (isGrip(clause)) {
            put(clause, SetStatus.STRUCK);
        } else {
            throw new Refusal("%s is not switched: say strike when it goes.".formatted(clause.name()));
        }
    }

    private static void put(Clause clause, SetStatus status) {
        clause.draft().put(clause.about(), status);
    }

    private static void side(Clause clause, boolean outside) {
        Place place = clause.draft()
                .value(clause.about().key(), Place.class)
                .orElseThrow(() -> new Refusal("%s has no place yet: drag it onto the plan.".formatted(clause.name())));
        clause.draft().put(clause.about(), new Place(place.xM(), place.yM(), outside));
    }
}
