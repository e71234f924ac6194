package org.oblume.server.archive;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.CallIntent;
import org.oblume.server.call.Changes;
import org.oblume.server.support.NotFoundException;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What is closed or was deleted takes no edits: a call that would change something of it is refused before it is done. */
@Configuration(proxyBeanMethods = false)
class ClosedRecords implements WebMvcConfigurer, HandlerInterceptor {

    private static final Pattern OF_ONE = Pattern.compile("/api/([a-z-]+)/(\\d{1,18})(/.*)?");
    private static final String STANDING = "/standing";

    private static final String OF_SCENE =
            """
            select case when coalesce(p.closed_at, p.deleted_at) is not null then p.name else 'Sc. ' || s.number end,
                coalesce(s.deleted_at, p.deleted_at) is not null
            from scene s join production p on p.id = s.production_id
            where coalesce(s.closed_at, p.closed_at, s.deleted_at, p.deleted_at) is not null and s.id in (%s)
            """;
    private static final String OF_PRODUCTION =
            """
            select p.name, p.deleted_at is not null from production p
            where coalesce(p.closed_at, p.deleted_at) is not null and p.id in (%s)
            """;
    private static final String OF_SHOT = OF_SCENE.formatted("select scene_id from shot where id in (%s)");

    /** What tells, by the first word of a path, whether the thing of that id is of something closed or deleted. */
    private static final Map<String, String> CLOSED = Map.ofEntries(
            Map.entry("productions", OF_PRODUCTION.formatted("?")),
            Map.entry("scenes", OF_SCENE.formatted("?")),
            Map.entry("shots", OF_SHOT.formatted("?")),
            Map.entry("sets", OF_PRODUCTION.formatted("select production_id from stage_set where id = ?")),
            Map.entry("looks", OF_SCENE.formatted("select scene_id from look where id = ?")),
            Map.entry("nodes", OF_PRODUCTION.formatted("select production_id from network_node where id = ?")),
            Map.entry("pull-lists", OF_PRODUCTION.formatted("select production_id from pull_list where id = ?")),
            Map.entry("notes", OF_SHOT.formatted("select shot_id from note where id = ?")),
            Map.entry("stills", OF_SHOT.formatted("select shot_id from note where id = ?")),
            Map.entry("takes", OF_SHOT.formatted("select shot_id from take where id = ?")),
            Map.entry("readings", OF_SHOT.formatted("select shot_id from reading where id = ?")),
            Map.entry("runs", OF_SHOT.formatted("select shot_id from rebuild_run where id = ?")));

    private final JdbcTemplate sql;

    ClosedRecords(JdbcTemplate sql) {
        this.sql = sql;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).order(1); // after who may
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        Matcher path = OF_ONE.matcher(request.getRequestURI());
        if (request.getDispatcherType() == DispatcherType.REQUEST
                && handler instanceof HandlerMethod call
                && CallIntent.changes(call)
                        .map(Changes::value)
                        .filter(t -> t.length > 0)
                        .isPresent()
                && path.matches()
                && !STANDING.equals(path.group(3))
                && CLOSED.containsKey(path.group(1))) {
            sql.query(
                    CLOSED.get(path.group(1)), (RowCallbackHandler) ClosedRecords::refuse, Long.valueOf(path.group(2)));
        }
        return true;
    }

    private static void refuse(ResultSet row) throws SQLException {
        if (row.getBoolean(2)) {
            throw new NotFoundException("What this is of was deleted. A lead can bring it back for thirty days.");
        }
        throw new Refusal(
                "%s is closed: it can be read, and takes no edits. A lead opens it again.".formatted(row.getString(1)));
    }
}
