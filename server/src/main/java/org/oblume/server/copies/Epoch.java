package org.oblume.server.copies;

import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Since when the record has gone on without being set back to a copy; a name that no other stretch has. */
@Component
public class Epoch {

    private final String id;

    Epoch(JdbcTemplate sql) {
        id = String.valueOf(sql.queryForObject(
                "select id from epoch order by began_at desc, id fetch first row only", String.class));
    }

    public String id() {
        return id;
    }
}
