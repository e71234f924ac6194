package org.oblume.core.still;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.LookState;
import org.oblume.core.metering.MeterPlace;
import org.oblume.core.metering.PlaceReading;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.ReadingLine;

/** A still's figures as a line of readings. */
class TypedLineTest {

    private static StillFigure point(String name, double percent) {
        return new StillFigure(name, 0.5, 0.5, percent, false, 0.0);
    }

    private static Reading read(StillFigure... points) {
        return ReadingLine.parse(
                TypedLine.of(List.of(points)).orElseThrow(),
                List.of(),
                new LookState("nothing", List.of()),
                "mark-1",
                null);
    }

    /** What is typed is what the reader of lines reads. */
    @Test
    void whatIsReadOffAStillIsUnderstoodAsAReading() {
        Reading reading = read(
                point("lit cheek", 47.02), point("shadow cheek", 17), point("background", 9.96), point("window", 88));
        assertThat(reading.signals().lit()).isEqualTo(47.0);
        assertThat(reading.signals().shadow()).isEqualTo(17.0);
        assertThat(reading.signals().background()).isEqualTo(10.0);
        assertThat(reading.signals().window()).isEqualTo(88.0);
    }

    @Test
    void aPointOfTheCrewsOwnIsAPlaceOfTheirOwn() {
        Reading reading = read(point("lit cheek", 40), point("papers", 62.5));
        assertThat(reading.places()).hasSize(1);
        PlaceReading papers = reading.places().get(0);
        assertThat(papers.place()).isEqualTo(MeterPlace.OWN);
        assertThat(papers.name()).isEqualTo("papers");
        assertThat(papers.percent()).isEqualTo(62.5);
    }

    @Test
    void whatCannotBeCalledOutIsLeftOut() {
        assertThat(TypedLine.of(List.of(point("point 6", 40)))).isEmpty();
        assertThat(TypedLine.of(List.of(point("point 6", 40), point("lit cheek", 40))))
                .contains("lit 40.0%");
    }
}
