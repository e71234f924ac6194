package org.oblume.server.support;

/** A row that answers are read from: what is kept of them falls when it is changed. */
public interface RecordSource {

    Source source();

    /** What a row is part of. */
    enum Part {
        SCENE,
        SHOT,
        SET,
        READINGS,
        KIT,
        TEAM
    }

    /**
     * A part of the record.
     *
     * @param id of the scene, shot or set; 0 where there is only one
     */
    record Source(Part part, long id) {}
}
