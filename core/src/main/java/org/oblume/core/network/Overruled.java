package org.oblume.core.network;

import java.util.List;
import org.oblume.core.network.PatchCheck.SacnSource;

/** Another source above ours, so that it is heard and we are not. */
final class Overruled implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        patch.sourcesByUniverse().forEach((universe, heard) -> {
            List<SacnSource> loudest = PatchContext.loudest(heard);
            int highest = loudest.get(0).priority();
            heard.stream()
                    .filter(s -> patch.isUs(s) && s.priority() < highest)
                    .findFirst()
                    .ifPresent(ours -> patch.report(
                            Conflict.Kind.OVERRULED,
                            loudest.stream().map(SacnSource::name).toList(),
                            "%s sends universe %d at priority %d, above ours of %d: it is heard, not we."
                                    .formatted(loudest.get(0).name(), universe, highest, ours.priority()),
                            "Stop it, or recall with a priority above %d.".formatted(highest)));
        });
    }
}
