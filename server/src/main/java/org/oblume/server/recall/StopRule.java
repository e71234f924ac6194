package org.oblume.server.recall;

import java.util.List;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.EditConflict;
import org.oblume.server.team.Member;
import org.oblume.server.team.TeamRole;
import org.oblume.server.team.TeamService;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who may stop output: a role, and those above it. A visitor cannot black out a take. */
@Service
class StopRule {

    /** Of those who may have a say in it, each may do what the ones after it may. */
    private static final List<TeamRole> ROLES = List.of(TeamRole.LEAD, TeamRole.CREW, TeamRole.CONTROL);

    private final JdbcTemplate sql;
    private final TeamService team;

    StopRule(JdbcTemplate sql, TeamService team) {
        this.sql = sql;
        this.team = team;
    }

    @Transactional(readOnly = true)
    OutputView.Stopping now() {
        return sql.queryForObject("select stopped_by, version from output_setting where id = 1", (row, i) -> {
            TeamRole least = TeamRole.valueOf(row.getString(1));
            return new OutputView.Stopping(least, ROLES.subList(0, ROLES.indexOf(least) + 1), row.getLong(2));
        });
    }

    /** @throws EditConflict when somebody changed it since that version */
    @Transactional
    void change(TeamRole role, long version) {
        if (!ROLES.contains(role)) {
            throw new Refusal("stoppedBy", "Choose lead, crew or control: those may have output in their hands.");
        }
        int changed = sql.update(
                "update output_setting set stopped_by = ?, version = version + 1 where id = 1 and version = ?",
                role.name(),
                version);
        if (changed == 0) {
            throw new EditConflict("Another lead changed who may stop output. Look again, then choose.", now());
        }
    }

    /** @throws AccessDeniedException when the person may not */
    void requireMayStop(String person) {
        OutputView.Stopping now = now();
        TeamRole least = now.stoppedBy();
        if (team.member(person).map(Member::role).filter(now.roles()::contains).isEmpty()) {
            throw new AccessDeniedException(
                    least == TeamRole.LEAD
                            ? "Here only a lead stops output: call one."
                            : "Here %s or a role above it stops output: call them.".formatted(least.label()));
        }
    }
}
