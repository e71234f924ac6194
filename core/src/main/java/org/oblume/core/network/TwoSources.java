package org.oblume.core.network;

import java.util.List;
import org.oblume.core.network.PatchCheck.SacnSource;

/** Several sources that send one universe at the priority that is heard. */
final class TwoSources implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        patch.sourcesByUniverse().forEach((universe, heard) -> {
            List<SacnSource> loudest = PatchContext.loudest(heard);
            if (loudest.size() > 1) {
                patch.report(
                        Conflict.Kind.TWO_SOURCES,
                        loudest.stream().map(SacnSource::name).toList(),
                        "%s both send universe %d at priority %d: which is heard is chance."
                                .formatted(
                                        PatchContext.names(loudest.stream(), SacnSource::name, " and "),
                                        universe,
                                        loudest.get(0).priority()),
                        "Stop one of them, or give it another priority.");
            }
        });
    }
}
