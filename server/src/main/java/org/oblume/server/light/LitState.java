package org.oblume.server.light;

import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Trial;

/** A state of a scene, recorded or tried, and the light in it. */
record LitState(SceneRecord scene, RecordedState state, ShotLighting light) {

    static LitState of(Trial trial) {
        return new LitState(trial.scene(), trial.state(), trial.light());
    }

    String name(String placement) {
        return scene.placement(placement).name();
    }
}
