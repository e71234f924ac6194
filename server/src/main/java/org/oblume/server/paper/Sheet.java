package org.oblume.server.paper;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.server.light.FrameService;

/**
 * What goes on paper, before it is laid out.
 *
 * @param link address of the page that it is of, printed as a QR code too; null when no other device can reach it
 * @param parts from top to bottom
 */
record Sheet(String title, String subtitle, @Nullable String link, boolean landscape, List<Part> parts) {

    /** A part of a sheet. */
    sealed interface Part permits Say, Table, Steps, Plan, Picture, Labels, Signing {}

    /** A paragraph. */
    record Say(String text, boolean strong) implements Part {}

    /**
     * @param name over it, or empty
     * @param rows each as long as the columns
     */
    record Table(String name, List<Column> columns, List<List<String>> rows) implements Part {}

    /**
     * @param share of the width
     * @param figures whether it is set in figures
     */
    record Column(String title, double share, boolean figures) {}

    /** Things to do, each with a box to tick. */
    record Steps(List<Task> steps) implements Part {}

    /** @param lines what is to be done, a line each */
    record Task(int number, String title, String what, List<String> lines, boolean done) {}

    /** @param scale 25 means 1 : 25; 0 for the largest that fits */
    record Plan(PlanDrawing drawing, int scale) implements Part {}

    /** What the camera sees, in grey, with lines of equal exposure. */
    record Picture(FrameService.Pictured pictured) implements Part {}

    /** To be cut out and stuck on. */
    record Labels(List<Label> labels) implements Part {}

    /**
     * @param link that its code leads to
     * @param what the kind of thing, in words
     */
    record Label(String link, String name, String tag, String what) {}

    /** Room for a signature, or who signed. */
    record Signing(String said) implements Part {}
}
