package org.oblume.core.say;

/** Understands one way to say something of a thing. */
@FunctionalInterface
interface PhraseParser {

    /**
     * Takes a phrase from the words and puts what it says into the draft. What it does not understand it leaves; the words are put back
     * when it returns false.
     *
     * @throws org.oblume.core.units.Refusal when it is understood and cannot be, with the nearest that can
     * @throws AskedBack when it could be more than one thing
     */
    boolean read(Clause clause);

    /** The first of several ways that understands what comes next; the words are put back before each. */
    static boolean any(Clause clause, PhraseParser... ways) {
        int start = clause.words().at();
        for (PhraseParser way : ways) {
            if (way.read(clause)) {
                return true;
            }
            clause.words().back(start);
        }
        return false;
    }
}
