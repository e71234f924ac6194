package org.oblume.server.team;

import java.util.Map;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Someone for each role in the demo. */
@Component
@Profile("demo")
class DemoTeam implements ApplicationRunner {

    private static final Map<Role, String> PEOPLE = Map.of(Role.LEAD, "gaffer", Role.CREW, "key grip", Role.CONTROL, "control operator",
            Role.CONTINUITY, "script supervisor", Role.READER, "visitor");
    private final TeamService team;

    DemoTeam(TeamService team) {
        this.team = team;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (team.nobodyYet()) {
            for (Role role : Role.values()) {
                team.makeForDemo(PEOPLE.get(role), role);
            }
        }
    }
}
