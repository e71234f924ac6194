package org.oblume.server.team;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.KnownHosts;
import org.oblume.server.support.QrCode;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who works on it; only a lead comes here. */
@Needs(Permission.LEAD)
@RestController
@RequestMapping("/api/team")
class TeamController {

    private final TeamService team;
    private final KnownHosts hosts;

    TeamController(TeamService team, KnownHosts hosts) {
        this.team = team;
        this.hosts = hosts;
    }

    record TeamView(List<Member> members, List<Invitation> invitations) {}

    record RoleBody(TeamRole role) {}

    /**
     * Shown this once.
     *
     * @param path of the link, to be put behind the address of this Oblume
     * @param address the whole link, as another device opens it; absent when none can reach this Oblume
     * @param code of that, to be scanned
     */
    record Link(String path, @Nullable String address, @Nullable QrCode code) {}

    @GetMapping
    TeamView team() {
        return new TeamView(team.members(), team.openInvitations());
    }

    @Changes(Topic.TEAM)
    @PostMapping("/invitations")
    @ResponseStatus(HttpStatus.CREATED)
    Link invite(@RequestBody RoleBody wanted, Principal person) {
        String path = "/join/" + team.invite(wanted.role(), person.getName());
        return hosts.reachable()
                .map(base -> new Link(path, base + path, QrCode.of(base + path)))
                .orElseGet(() -> new Link(path, null, null));
    }

    @Changes(Topic.TEAM)
    @DeleteMapping("/invitations/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@PathVariable long id) {
        team.withdraw(id);
    }

    @Changes(Topic.TEAM)
    @PutMapping("/{id}")
    Member changeRole(
            @PathVariable long id,
            @RequestBody RoleBody wanted,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return team.changeRole(id, wanted.role(), IfMatch.version(ifMatch));
    }

    @Changes(Topic.TEAM)
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(
            @PathVariable long id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        team.remove(id, IfMatch.version(ifMatch));
    }
}
