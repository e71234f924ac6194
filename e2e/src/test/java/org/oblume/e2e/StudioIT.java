package org.oblume.e2e;

import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Two servers on one PostgreSQL database and 300 people at them: {@code ./oblume bench-studio}. Asserts no time, but that everybody is answered. */
@Tag("measure")
@EnabledIfSystemProperty(named = "oblume.studio", matches = ".+")
class StudioIT {

    private static final String DATABASE = System.getProperty("oblume.studio", "");
    private static final int SCENES = 150;
    private static final int PEOPLE = Integer.getInteger("oblume.people", 300);
    private static final int WARM_UP_S = 90;
    private static final int SECONDS = 60;

    @Test
    void aStudioOfThreeHundred() throws Exception {
        try (RunningOblume one = RunningOblume.inStudio(RunningOblume.newData(), DATABASE);
                RunningOblume other = RunningOblume.inStudio(RunningOblume.newData(), DATABASE)) {
            Person lead = Person.lead(one);
            for (int scene = 1; scene <= SCENES; scene++) {
                lead.post("/api/scenes/import", BigScene.ofAFeature(scene));
            }
            Crowd crowd = Crowd.invitedBy(lead, PEOPLE).spreadOver(List.of(one, other));
            crowd.work(FeatureSizeIT.shots(lead), WARM_UP_S, SECONDS);
            crowd.report();
        }
    }
}
