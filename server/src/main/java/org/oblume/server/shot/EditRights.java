package org.oblume.server.shot;

import java.util.Set;
import java.util.stream.Stream;
import org.oblume.core.plot.Attribute;
import org.oblume.server.call.Permission;

/** What it takes to change recorded values: patch and menu are the control's too, everything else is the crew's. */
final class EditRights {

    private static final Set<Attribute> OF_CONTROL = Set.of(Attribute.PATCH, Attribute.MENU);

    private EditRights() {}

    /** The one permission that allows all of them. */
    static Permission of(Stream<Attribute> attributes) {
        return attributes.allMatch(OF_CONTROL::contains) ? Permission.PATCH : Permission.EDIT;
    }
}
