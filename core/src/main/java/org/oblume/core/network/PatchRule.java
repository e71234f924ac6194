package org.oblume.core.network;

/** One rule of what cannot work in a patch. It keeps nothing between patches. */
@FunctionalInterface
interface PatchRule {

    /** Reports each finding to {@link PatchContext#report}. */
    void check(PatchContext patch);
}
