package org.oblume.server.support;

import java.util.Locale;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** Something to place, for tests to which it is all the same what. */
final class AnyPlacement {

    private AnyPlacement() {}

    static Placement called(String name) {
        return new Placement(
                name.toLowerCase(Locale.ROOT).replace(' ', '-'),
                name,
                PlacementKind.HEAD,
                Role.KEY,
                null,
                new Piece("LED spot", null, 0.2, null, null, 165.0, Mount.STAND, null, null, null, null));
    }
}
