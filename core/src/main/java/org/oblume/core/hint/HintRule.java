package org.oblume.core.hint;

/** One rule: looks at a shot and reports what it finds. It keeps nothing between shots. */
@FunctionalInterface
interface HintRule {

    /** Reports each finding to {@link HintContext#report}. */
    void look(HintContext shot);
}
