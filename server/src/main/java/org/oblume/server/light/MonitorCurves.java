package org.oblume.server.light;

import org.oblume.core.exposure.SignalCurve;

/** What the signals on a scene's monitor are read through. */
@FunctionalInterface
public interface MonitorCurves {

    SignalCurve curve(long sceneId);
}
