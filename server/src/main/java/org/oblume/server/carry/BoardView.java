package org.oblume.server.carry;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.moves.Department;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.shot.LastTouch;

/**
 * A scene's carry board: what is placed, downwards; its shots, across, in shooting order.
 *
 * @param seen the newest change that is in it; edits name it, so that nobody writes over what they did not see
 * @param lanes how many threads run side by side at most
 */
public record BoardView(
        long sceneId,
        long productionId,
        SceneHeading scene,
        long seen,
        int lanes,
        List<BoardShot> shots,
        List<BoardRow> rows,
        List<BoardLook> looks) {

    /**
     * @param basedOn slate, or null
     * @param lane of its threads, from 0
     */
    record BoardShot(
            long id,
            Slate slate,
            String description,
            @Nullable Integer day,
            ShotStage stage,
            @Nullable Slate basedOn,
            int lane,
            long version,
            int revision,
            @Nullable LastTouch lit,
            @Nullable LastTouch shot) {}

    /** @param swatch how its light looks where it is first on, {@code #rrggbb}, or null */
    record BoardRow(
            Placement placement,
            Department department,
            @Nullable String swatch,
            List<BoardThread> threads,
            List<BoardCell> cells) {}

    /**
     * Where a thread is another than in the shot it comes from.
     *
     * @param shot index
     */
    record BoardThread(int shot, State state, @Nullable String swatch) {

        enum State {
            ON,
            OFF,
            ABSENT
        }
    }

    /**
     * What is tied in one shot.
     *
     * @param shot index
     */
    record BoardCell(int shot, List<BoardKnot> knots) {}

    /**
     * @param say the value, metric
     * @param brief in as few letters as a cell has room for: {@code 45%}
     * @param before what held in the shot it is based on, or null
     * @param words what changed: {@code 0.80 m closer}
     */
    record BoardKnot(
            Attribute attribute,
            String label,
            Phrase say,
            Phrase brief,
            @Nullable Phrase before,
            Phrase words,
            @Nullable Reason reason,
            @Nullable String note,
            String author,
            Instant at) {}

    /** A saved look as a column beside the shots. */
    record BoardLook(LookCard card, List<LookCell> cells) {}

    /**
     * @param say level and colour, or off, in words
     * @param swatch as the look's own camera white shows it
     */
    record LookCell(String placement, String say, @Nullable String swatch) {}

    record LookCard(long id, String name, String author, Instant at, long version) {}
}
