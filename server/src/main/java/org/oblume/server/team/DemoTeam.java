package org.oblume.server.team;

import java.util.Map;
import java.util.Objects;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Someone for each role in the demo. */
@Component
@Profile("demo")
class DemoTeam implements ApplicationRunner {

    private static final Map<TeamRole, String> PEOPLE = Map.of(
            TeamRole.LEAD,
            "gaffer",
            TeamRole.CREW,
            "key grip",
            TeamRole.CONTROL,
            "control operator",
            TeamRole.CONTINUITY,
            "script supervisor",
            TeamRole.READER,
            "visitor");
    private final TeamService team;

    DemoTeam(TeamService team) {
        this.team = team;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (team.nobodyYet()) {
            for (TeamRole role : TeamRole.values()) {
                team.makeForDemo(Objects.requireNonNull(PEOPLE.get(role)), role);
            }
        }
    }
}
