package org.oblume.server.book;

import org.oblume.core.rebuild.BuildOrder;

/**
 * A scene to be started.
 *
 * @param roomWidth as typed, metres or feet and inches
 * @param roomDepth likewise
 * @param ceiling likewise
 */
record NewScene(String number, String heading, String location, BuildOrder buildOrder, String roomWidth,
        String roomDepth, String ceiling, String firstSlate) {
}
