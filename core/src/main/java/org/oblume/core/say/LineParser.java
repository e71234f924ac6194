package org.oblume.core.say;

import java.util.List;

/** Understands lines that are known by how they begin. */
@FunctionalInterface
interface LineParser {

    /**
     * @return what the line says; empty when it is no line of this kind
     * @throws org.oblume.core.units.Refusal when it is and cannot be
     * @throws NotUnderstood at a word that means nothing in it
     * @throws AskedBack at one that could be more than one thing
     */
    List<? extends ParsedCommand.Other> read(Line line);
}
