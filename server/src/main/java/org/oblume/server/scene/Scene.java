package org.oblume.server.scene;

/** A scene of a production, on a set. */
public record Scene(long id, long productionId, long setId, SceneHeading heading) {}
